import { closeSync, existsSync, fsyncSync, openSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** What PostgreSQL asks of a file system, and Emscripten's folder leaves out. */
interface StreamOperations {
  fsync?: (stream: { readonly nfd: number }) => number;
}

/**
 * A folder on the disk as PGlite's file system, in which `fsync` reaches the disk. PostgreSQL then does what it is built for: an acknowledged
 * change is in the forced log, pages are forced before a checkpoint counts, and a start after a power cut replays the log.
 */
class DurableFolder extends NodeFS {
  override async init(...[pglite, options]: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const { emscriptenOpts } = await super.init(pglite, options);
    const withFsync = ({ NODEFS }: { readonly NODEFS: { readonly stream_ops: StreamOperations } }) => {
      NODEFS.stream_ops.fsync = ({ nfd }) => {
        fsyncSync(nfd);
        return 0;
      };
    };
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), withFsync as never] } };
  }
}

/**
 * PGlite starts PostgreSQL without forced writes (`-F`). Forced by `fsync`, because Emscripten's `fdatasync` does nothing; whole pages are
 * logged, because a power cut tears them.
 */
const DURABLE_PARAMS = [
  ...PGlite.defaultStartParams.filter((param) => param !== '-F'),
  ...['fsync=on', 'wal_sync_method=fsync', 'synchronous_commit=on', 'full_page_writes=on'].flatMap((setting) => ['-c', setting]),
];

/** The folder of a store holds something else than a database, or one that was made in part. */
export class NotAStore extends Error {
  constructor(folder: string) {
    super(
      `The folder ${folder} is not empty, and it is not a database of Still Heron: the file PG_VERSION is missing. ` +
        `Nothing in it was changed. Move it elsewhere to start with an empty one, or set STILL_HERON_DATA to another folder.`,
    );
    this.name = 'NotAStore';
  }
}

/**
 * Opens the database in a folder, or makes a new one. A new one is made beside it and forced to the disk before it gets its name, so that the
 * folder never holds half of one.
 *
 * @param folder - its parent must exist
 * @throws {NotAStore} for a folder with other things in it
 */
export async function openStore(folder: string): Promise<PGlite> {
  if (!existsSync(join(folder, 'PG_VERSION'))) {
    if (existsSync(folder) && readdirSync(folder).length > 0) throw new NotAStore(folder);
    await makeStore(folder);
  }
  return PGlite.create({ fs: new DurableFolder(folder), startParams: DURABLE_PARAMS });
}

async function makeStore(folder: string): Promise<void> {
  const unfinished = join(dirname(folder), `${basename(folder)}.unfinished`);
  rmSync(unfinished, { recursive: true, force: true });
  const made = await PGlite.create(unfinished);
  await made.close();
  forceTree(unfinished);
  rmSync(folder, { recursive: true, force: true });
  renameSync(unfinished, folder);
  force(dirname(folder));
}

/** Forces everything in a folder to the disk: files before the folders that name them. */
export function forceTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) forceTree(path);
    else if (entry.isFile()) force(path);
  }
  force(folder);
}

function force(path: string): void {
  const file = openSync(path, 'r');
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

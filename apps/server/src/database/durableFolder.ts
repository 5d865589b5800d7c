import { closeSync, existsSync, fsyncSync, openSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { open, readdir } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import { otherPostgresText } from '@still-heron/wording';
import { BrokenStore, StartLog } from './brokenStore.js';
import { putNewStore } from './newStore.js';

/** What PostgreSQL asks of a file system, and Emscripten's folder leaves out. */
interface StreamOperations {
  fsync?: (stream: { readonly nfd: number }) => number;
}

/**
 * A folder on the disk as PGlite's file system, in which `fsync` reaches the disk. PostgreSQL then does what it is built for: an acknowledged
 * change is in the forced log, pages are forced before a checkpoint counts, and a start after a power cut replays the log.
 */
class DurableFolder extends NodeFS {
  readonly log = new StartLog();

  override async init(...[pglite, options]: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const { emscriptenOpts } = await super.init(pglite, options);
    const withFsync = ({ NODEFS }: { readonly NODEFS: { readonly stream_ops: StreamOperations } }) => {
      NODEFS.stream_ops.fsync = ({ nfd }) => {
        fsyncSync(nfd);
        return 0;
      };
    };
    const preRun = [...(emscriptenOpts.preRun ?? []), withFsync as never];
    return { emscriptenOpts: { ...emscriptenOpts, print: this.log.add, printErr: this.log.add, preRun } };
  }
}

/** PostgreSQL's own cache. It would take 128 MB, for data that the system keeps in its cache as well. */
const CACHE = '32MB';

/**
 * PGlite starts PostgreSQL without forced writes (`-F`). Forced by `fsync`, because Emscripten's `fdatasync` does nothing; whole pages are
 * logged, because a power cut tears them.
 */
const DURABLE_PARAMS = [
  ...PGlite.defaultStartParams.filter((param) => param !== '-F'),
  ...['fsync=on', 'wal_sync_method=fsync', 'synchronous_commit=on', 'full_page_writes=on'].flatMap((setting) => ['-c', setting]),
  ...['-c', `shared_buffers=${CACHE}`],
];

/** The folder was written by another major version of PostgreSQL, whose files this one can't read. */
export class OtherPostgres extends Error {
  constructor(folder: string, stored: string) {
    super(otherPostgresText(folder, stored, POSTGRES_MAJOR));
    this.name = 'OtherPostgres';
  }
}

const POSTGRES_MAJOR = '18';

/**
 * Opens the database in a folder, or makes a new one. A new one is made beside it and forced to the disk before it gets its name, so that the
 * folder never holds half of one.
 *
 * @param folder - its parent must exist
 * @throws {OtherPostgres} for one of another major version of PostgreSQL
 * @throws {BrokenStore} if PostgreSQL can't start with it, or the folder holds other things
 */
export async function openStore(folder: string): Promise<PGlite> {
  if (!existsSync(join(folder, 'PG_VERSION'))) {
    if (existsSync(folder) && readdirSync(folder).length > 0)
      throw new BrokenStore(folder, 'the folder is not empty, and its file PG_VERSION is missing', undefined);
    await makeStore(folder);
  }
  const stored = readFileSync(join(folder, 'PG_VERSION'), 'utf8').trim();
  if (stored !== POSTGRES_MAJOR && /^\d+$/.test(stored)) throw new OtherPostgres(folder, stored);
  return start(folder, DURABLE_PARAMS);
}

/** Opens a copy of a store, which need not outlive a power cut. @throws {BrokenStore} */
export function openCopyOfStore(folder: string): Promise<PGlite> {
  return start(folder, PGlite.defaultStartParams);
}

async function start(folder: string, startParams: string[]): Promise<PGlite> {
  const files = new DurableFolder(folder);
  try {
    return await PGlite.create({ fs: files, startParams });
  } catch (error) {
    throw new BrokenStore(folder, files.log.reason(error), error);
  }
}

async function makeStore(folder: string): Promise<void> {
  const unfinished = join(dirname(folder), `${basename(folder)}.unfinished`);
  await putNewStore(unfinished);
  await forceTree(unfinished);
  rmSync(folder, { recursive: true, force: true });
  renameSync(unfinished, folder);
  force(dirname(folder));
}

/** Files that are forced at once: a file system forces many together in about the time of one. */
const FORCED_AT_ONCE = 32;

/** Forces everything in a folder to the disk: files before the folders that name them. */
async function forceTree(folder: string): Promise<void> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true });
  const pathsOf = (kind: 'isFile' | 'isDirectory') =>
    entries.filter((entry) => entry[kind]()).map(({ parentPath, name }) => join(parentPath, name));
  // the deepest first: what a folder names is longer than its own path
  const folders = pathsOf('isDirectory').sort((a, b) => b.length - a.length);
  const files = pathsOf('isFile');
  for (let at = 0; at < files.length; at += FORCED_AT_ONCE)
    await Promise.all(files.slice(at, at + FORCED_AT_ONCE).map(forceFile));
  for (const path of [...folders, folder]) force(path);
}

async function forceFile(path: string): Promise<void> {
  const file = await open(path, 'r');
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}

/** Forces a file or a folder to the disk. */
export function force(path: string): void {
  const file = openSync(path, 'r');
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

import { readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { BackupReason } from '@still-heron/contract';
import { force } from '../database/durableFolder.js';
import type { Database } from '../database/database.js';
import { openCopy, openScratch } from '../database/driver.js';
import type { OpenDatabase } from '../database/openDatabase.js';
import { openServer } from '../database/openServer.js';
import { storedMigrations } from '../database/migrations.js';
import { VERSION } from '../version.js';
import type { Task } from '../work/task.js';
import { BadBackup, readDigest, readHeader, readRows, writeBackup } from './backupFile.js';
import { allRows, countRows, digestOf, newestVersion, raiseVersions, replaceRows } from './tables.js';

/** What a backup is made of: a copy of a store that nothing else uses, which is emptied on the way, or a PostgreSQL server. */
export type BackupSource = { readonly copy: string } | { readonly databaseUrl: string };

/** A backup to be made. It can be sent to another thread. */
export interface BackupOrder {
  readonly source: BackupSource;
  /** Folder of backups; must exist */
  readonly folder: string;
  readonly reason: BackupReason;
  /** Moment of the copy, ISO 8601 */
  readonly madeAt: string;
  /** Whether a backup equal to the newest one is left out */
  readonly onlyIfChanged: boolean;
}

/** Ends the name of each backup. */
const BACKUP_ENDING = '.backup.gz';

/** Names of backups in a folder, oldest first: they begin with the time. */
export function backupNames(folder: string): string[] {
  return readdirSync(folder)
    .filter((name) => name.endsWith(BACKUP_ENDING))
    .sort();
}

export const MAKE_BACKUP: Task<BackupOrder, string | null> = { name: 'makeBackup', run: makeBackup };

/**
 * Makes a backup and opens it: its rows are put into a database, and read from there again. It has its name only when they are the same.
 *
 * @returns its name; null if nothing has changed since the newest one
 * @throws {BrokenStore}, {BadBackup}
 */
export async function makeBackup({ source, folder, reason, madeAt, onlyIfChanged }: BackupOrder): Promise<string | null> {
  const name = `${madeAt.slice(0, 19).replaceAll(':', '-')}Z-${reason}${BACKUP_ENDING}`;
  const unfinished = join(folder, `.${name}.unfinished`);
  const open = 'copy' in source ? await openCopy(source.copy) : openServer(source.databaseUrl);
  try {
    const migrations = await storedMigrations(open.db, open.where);
    const digest = await oneState(open.db, async (db) => {
      const header = { format: 'still-heron-backup', schema: 1, version: VERSION, migrations, madeAt, reason } as const;
      return writeBackup(unfinished, { ...header, ...(await countRows(db)) }, allRows(db));
    });
    const newest = onlyIfChanged ? backupNames(folder).at(-1) : undefined;
    if (newest !== undefined && (await isOf(join(folder, newest), digest))) return null;
    if ('copy' in source) await verify(unfinished, digest, open);
    else await inScratch(migrations, (scratch) => verify(unfinished, digest, scratch));
    renameSync(unfinished, join(folder, name));
    force(folder);
    return name;
  } finally {
    await open.close();
    rmSync(unfinished, { force: true });
  }
}

/** Runs a reader that sees one state of the database, with times in UTC. */
export function oneState<T>(db: Database, read: (state: Database) => Promise<T>): Promise<T> {
  return db.transaction(
    async (state) => {
      await state.execute('set local time zone utc');
      return read(state);
    },
    { isolationLevel: 'repeatable read' },
  );
}

/**
 * Replaces everything in a database by a backup, in one transaction: all of it, or nothing if the rows are not those of the backup.
 *
 * @param digest - of the backup, as `readDigest` found it
 * @throws {BadBackup} if it is broken, or of a newer version
 */
export async function restoreBackup(path: string, digest: string, db: Database): Promise<void> {
  const { migrations, version } = await readHeader(path);
  const own = await storedMigrations(db, 'the database');
  if (migrations > own) throw new BadBackup(path, `a newer Still Heron made it (${version})`);
  if (migrations === own) return replaceLive(db, readRows(path), digest);
  // rows of an earlier version take the way that its database would take
  await inScratch(migrations, async (scratch) => {
    await restoreBackup(path, digest, scratch.db);
    await scratch.toNewest();
    await oneState(scratch.db, async (state) => replaceLive(db, allRows(state), await digestOf(state)));
  });
}

type Rows = Parameters<typeof replaceRows>[1];

/** Replaces rows that pages may have open: no version of a document comes twice, so that an edit of what was there is a conflict. */
function replaceLive(db: Database, rows: Rows, digest: string): Promise<void> {
  return oneState(db, async (state) => {
    const newest = await newestVersion(state);
    await replaceBy(state, rows, digest);
    await raiseVersions(state, newest);
  });
}

async function replaceBy(state: Database, rows: Rows, digest: string): Promise<void> {
  await replaceRows(state, rows);
  if ((await digestOf(state)) !== digest) throw new Error('the rows in the database are not those of the backup');
}

/** Puts the rows of a new backup into a database and reads them from there. @throws {BadBackup}, {Error} if they are not what was written */
function verify(path: string, digest: string, { db }: Pick<OpenDatabase, 'db'>): Promise<void> {
  return oneState(db, (state) => replaceBy(state, readRows(path), digest));
}

async function isOf(path: string, digest: string): Promise<boolean> {
  try {
    return (await readDigest(path)) === digest;
  } catch (error) {
    if (error instanceof BadBackup) return false;
    throw error;
  }
}

async function inScratch(migrations: number, act: (scratch: Scratch) => Promise<void>): Promise<void> {
  const scratch = await openScratch(migrations);
  try {
    await act(scratch);
  } finally {
    await scratch.close();
  }
}

type Scratch = Awaited<ReturnType<typeof openScratch>>;

import { mkdirSync } from 'node:fs';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { noRoomForBackupText } from '@still-heron/wording';
import type { Database } from './database.js';
import type { BinaryCopy, OpenDatabase } from './openDatabase.js';
import { openCopyOfStore, openStore } from './durableFolder.js';
import { filesBelow } from './filesBelow.js';
import { freeBytesOf, RESERVED_BYTES } from './freeSpace.js';
import { lockDataFolder } from './lock.js';
import { knownMigrations, migrate, storedMigrations } from './migrations.js';
import { putNewStore } from './newStore.js';
import * as schema from './schema.js';

/** Where the database is, and what happens before it is changed to a newer form. */
export interface DatabaseOptions {
  readonly databaseUrl: string | null;
  readonly dataFolder: string;
  /** Called before migrations of a database that holds something already */
  readonly beforeMigration?: (open: OpenDatabase) => Promise<unknown>;
}

/** Folder of PGlite's files in a data folder. */
export function storeFolder(dataFolder: string): string {
  return join(dataFolder, 'pglite');
}

/**
 * Opens the database and runs its migrations: a PostgreSQL server if a URL is given, else PGlite in a locked folder.
 *
 * @throws {DataFolderInUse} if another process uses the folder
 * @throws {BrokenStore} if the database in the folder can't be opened, or the folder holds something else
 * @throws {NewerStore}, {OtherPostgres} if another version wrote it
 * @throws {ServerAway} if the PostgreSQL server does not answer
 */
export async function openDatabase(options: DatabaseOptions): Promise<OpenDatabase> {
  if (options.databaseUrl !== null) {
    // most starts need no driver for a server
    const { openServerMigrated } = await import('./openServer.js');
    return openServerMigrated(options.databaseUrl, (open, db) => bringToNewest(open, db, options));
  }
  const open = await openPglite(options.dataFolder);
  try {
    await bringToNewest(open, open.db, options);
    return open;
  } catch (error) {
    await open.close();
    throw error;
  }
}

/** Runs the migrations that are missing. @param db - the connection to run them on */
async function bringToNewest(open: OpenDatabase, db: Database, { beforeMigration }: DatabaseOptions): Promise<void> {
  const migrations = await storedMigrations(db, open.where);
  if (migrations >= knownMigrations().length) return;
  if (migrations > 0) await beforeMigration?.(open);
  await migrate(db);
}

async function openPglite(dataFolder: string): Promise<OpenDatabase> {
  mkdirSync(dataFolder, { recursive: true });
  const unlock = lockDataFolder(dataFolder);
  try {
    const folder = storeFolder(dataFolder);
    const client = await openStore(folder);
    return {
      db: overPglite(client),
      where: dataFolder,
      copy: binaryCopy(client),
      copyStore: async (copy) => {
        await refuseWithoutRoom(folder);
        await client.runExclusive(() => cp(folder, copy, { recursive: true }));
      },
      close: async () => {
        await client.close();
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}

/** A copy must not fill the disk, because the database ends when it can't write. @throws {Error} with what is free and needed */
async function refuseWithoutRoom(folder: string): Promise<void> {
  const bytes = filesBelow(folder).reduce((sum, { size }) => sum + size, 0);
  const [free, need] = [await freeBytesOf(folder), bytes + RESERVED_BYTES].map((count) => Math.ceil(count / 1024 ** 2));
  if (free! < need!) throw new Error(noRoomForBackupText(free!, need!));
}

/** Opens a copy of a store that nothing else uses. @throws {BrokenStore} */
export async function openCopy(folder: string): Promise<OpenDatabase> {
  return plain(await openCopyOfStore(folder), folder);
}

/** A database of its own that is gone when it is closed, in the form after some of the migrations. It can be brought to the newest form. */
export async function openScratch(migrations: number): Promise<OpenDatabase & { toNewest(): Promise<void> }> {
  const folder = await mkdtemp(join(tmpdir(), 'still-heron-scratch-'));
  const remove = () => rm(folder, { recursive: true, force: true });
  try {
    await putNewStore(folder);
    const open = await openCopy(folder);
    await migrate(open.db, migrations);
    return {
      ...open,
      toNewest: () => migrate(open.db),
      close: async () => {
        await open.close();
        await remove();
      },
    };
  } catch (error) {
    await remove();
    throw error;
  }
}

function plain(client: PGlite, where: string): OpenDatabase {
  return { db: overPglite(client), where, copyStore: null, copy: binaryCopy(client), close: () => client.close() };
}

function binaryCopy(client: PGlite): BinaryCopy {
  return {
    into: async (table, columns, file) => {
      await client.query(`copy ${table} (${columns.join(', ')}) from '/dev/blob' with (format binary)`, [], { blob: file });
    },
    outOf: async (query) => {
      const { blob } = await client.query(`copy (${query}) to '/dev/blob' with (format binary)`);
      return new Uint8Array(await blob!.arrayBuffer());
    },
  };
}

/** The database of an open PGlite. */
function overPglite(client: PGlite): Database {
  return drizzlePglite(client, { schema }) as unknown as Database;
}

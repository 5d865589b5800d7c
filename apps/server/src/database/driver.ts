import { mkdirSync } from 'node:fs';
import { cp } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { noRoomForBackupText } from '@still-heron/wording';
import type { Database } from './database.js';
import { openCopyOfStore, openStore } from './durableFolder.js';
import { filesBelow } from './filesBelow.js';
import { freeBytesOf, RESERVED_BYTES } from './freeSpace.js';
import { lockDataFolder } from './lock.js';
import { knownMigrations, migrate, storedMigrations } from './migrations.js';
import * as schema from './schema.js';
import { alone, connect, noteOtherServers, overPostgres } from './server.js';

export interface OpenDatabase {
  readonly db: Database;
  /** Where the database is, as messages name it */
  readonly where: string;
  /**
   * Copies the files of the store as they are between two statements, which is what a killed server leaves behind: the copy starts with every
   * change up to then. null for a PostgreSQL server.
   */
  readonly copyStore: ((folder: string) => Promise<void>) | null;
  /** Binary COPY in and out; null for a PostgreSQL server, whose driver sends bytes as they are */
  readonly copy: BinaryCopy | null;
  close(): Promise<void>;
}

/** Rows in and out as files of binary COPY. */
export interface BinaryCopy {
  into(table: string, columns: readonly string[], file: Blob): Promise<void>;
  /** @param query - a statement without parameters */
  outOf(query: string): Promise<Uint8Array>;
}

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
  if (options.databaseUrl !== null) return openServerMigrated(options.databaseUrl, options);
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

async function openServerMigrated(databaseUrl: string, options: DatabaseOptions): Promise<OpenDatabase> {
  const pool = connect(databaseUrl);
  const open = plainServer(pool);
  try {
    await alone(pool, (db) => bringToNewest(open, db, options));
    const release = await noteOtherServers(databaseUrl);
    return {
      ...open,
      close: async () => {
        await release();
        await open.close();
      },
    };
  } catch (error) {
    await open.close();
    throw error;
  }
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

/** A database in memory, in the form after some of the migrations, which can be brought to the newest form. */
export async function openScratch(migrations: number): Promise<OpenDatabase & { toNewest(): Promise<void> }> {
  const open = plain(await PGlite.create(), 'memory');
  await migrate(open.db, migrations);
  return { ...open, toNewest: () => migrate(open.db) };
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

/** Connects to a PostgreSQL server as it is, without migrations. */
export function openServer(databaseUrl: string): OpenDatabase {
  return plainServer(connect(databaseUrl));
}

function plainServer(pool: ReturnType<typeof connect>): OpenDatabase {
  return {
    db: overPostgres(pool),
    where: 'the PostgreSQL server of DATABASE_URL',
    copyStore: null,
    copy: null,
    close: () => pool.end(),
  };
}

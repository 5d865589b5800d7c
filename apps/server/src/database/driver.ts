import { mkdirSync } from 'node:fs';
import { cp } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzleServer } from 'drizzle-orm/node-postgres';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import pg from 'pg';
import { openCopyOfStore, openStore } from './durableFolder.js';
import { lockDataFolder } from './lock.js';
import { knownMigrations, migrate, storedForm } from './migrations.js';
import * as schema from './schema.js';

/** The database independent of its driver: same schema, same SQL. Also the type of a transaction. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDatabase {
  readonly db: Database;
  /** Where the database is, as messages name it */
  readonly where: string;
  /**
   * Copies the files of the store as they are between two statements, which is what a killed server leaves behind: the copy starts with every
   * change up to then. null for a PostgreSQL server.
   */
  readonly copyStore: ((folder: string) => Promise<void>) | null;
  close(): Promise<void>;
}

/** Where the database is, and what happens before it is changed to a newer form. */
export interface DatabaseOptions {
  readonly databaseUrl: string | null;
  readonly dataFolder: string;
  /** Called before migrations of a database that holds something already */
  readonly beforeMigration?: (open: OpenDatabase, migrations: number) => Promise<void>;
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
 */
export async function openDatabase(options: DatabaseOptions): Promise<OpenDatabase> {
  const open = options.databaseUrl === null ? await openPglite(options.dataFolder) : openServer(options.databaseUrl);
  try {
    const { migrations } = await storedForm(open.db, open.where);
    if (migrations > 0 && migrations < knownMigrations().length) await options.beforeMigration?.(open, migrations);
    if (migrations < knownMigrations().length) await migrate(open.db);
    return open;
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
      copyStore: (copy) => client.runExclusive(() => cp(folder, copy, { recursive: true })),
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
  return { db: overPglite(client), where, copyStore: null, close: () => client.close() };
}

/** The database of an open PGlite. */
function overPglite(client: PGlite): Database {
  return drizzlePglite(client, { schema }) as unknown as Database;
}

/** Connects to a PostgreSQL server as it is, without migrations. */
export function openServer(databaseUrl: string): OpenDatabase {
  const pool = new pg.Pool({ connectionString: databaseUrl });
  return {
    db: drizzleServer(pool, { schema }) as unknown as Database,
    where: 'the PostgreSQL server of DATABASE_URL',
    copyStore: null,
    close: () => pool.end(),
  };
}

import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzleServer } from 'drizzle-orm/node-postgres';
import { migrate as migrateServer } from 'drizzle-orm/node-postgres/migrator';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import pg from 'pg';
import { openStore } from './durableFolder.js';
import { lockDataFolder } from './lock.js';
import * as schema from './schema.js';

/** The database independent of its driver: same schema, same SQL. Also the type of a transaction. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDatabase {
  readonly db: Database;
  close(): Promise<void>;
}

const migrationsFolder = resolve(import.meta.dirname, '../../migrations');

/**
 * Opens the database and runs its migrations: a PostgreSQL server if a URL is given, else PGlite in a locked folder.
 *
 * @throws {DataFolderInUse} if another process uses the folder
 * @throws {NotAStore} if the folder holds something else than a database
 */
export async function openDatabase(options: { databaseUrl: string | null; dataFolder: string }): Promise<OpenDatabase> {
  return options.databaseUrl === null ? openPglite(options.dataFolder) : openServer(options.databaseUrl);
}

async function openPglite(dataFolder: string): Promise<OpenDatabase> {
  mkdirSync(dataFolder, { recursive: true });
  const unlock = lockDataFolder(dataFolder);
  try {
    const client = await openStore(join(dataFolder, 'pglite'));
    const db = drizzlePglite(client, { schema });
    await migratePglite(db, { migrationsFolder });
    return {
      db: db as unknown as Database,
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

async function openServer(databaseUrl: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: databaseUrl });
  const db = drizzleServer(pool, { schema });
  await migrateServer(db, { migrationsFolder });
  return { db: db as unknown as Database, close: () => pool.end() };
}

import { setTimeout as pause } from 'node:timers/promises';
import { Logger } from '@nestjs/common';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { serverAwayText, sharedDatabaseText } from '@still-heron/wording';
import type { Database } from './database.js';
import * as schema from './schema.js';

/** Longest wait for a connection; a request is answered with 503 then. */
const CONNECT_MS = 5000;
/** After this time a broken connection is taken back from what used it. */
const GIVEN_BACK_MS = 1000;
/** Keys of PostgreSQL's advisory locks: for migrations, and for being the only server. */
const MIGRATING = 4_870_001;
const SERVING = 4_870_002;

const logger = new Logger('database');

/** The server of `DATABASE_URL` does not let us in. */
export class ServerAway extends Error {
  constructor(reason: string, cause: unknown) {
    super(serverAwayText(reason), { cause });
    this.name = 'ServerAway';
  }
}

/**
 * Connects to a PostgreSQL server. A connection that breaks, also in the middle of a transaction, is logged and replaced by the next one.
 */
export function connect(databaseUrl: string): pg.Pool {
  const pool = new pg.Pool({ connectionString: databaseUrl, connectionTimeoutMillis: CONNECT_MS });
  const lent = new Set<pg.PoolClient>();
  pool.on('acquire', (client) => lent.add(client));
  pool.on('release', (_, client) => lent.delete(client));
  pool.on('error', warn);
  // the pool listens only to connections that nobody uses
  pool.on('connect', (client) =>
    client.on('error', (error) => {
      warn(error);
      // a transaction that could not even begin does not give its connection back
      setTimeout(() => lent.has(client) && client.release(error), GIVEN_BACK_MS).unref();
    }),
  );
  return pool;
}

function warn({ message }: Error): void {
  logger.warn(`A connection to the database broke: ${message}`);
}

/** The database of a pool, or of one connection. */
export function overPostgres(client: pg.Pool | pg.PoolClient): Database {
  return drizzle(client, { schema }) as unknown as Database;
}

/**
 * Runs what must not run in two servers at once, on a connection of its own.
 *
 * @throws {ServerAway} if the server does not answer, or refuses this user
 */
export async function alone<T>(pool: pg.Pool, act: (db: Database) => Promise<T>): Promise<T> {
  const client = await pool.connect().catch((error: unknown) => {
    throw new ServerAway(error instanceof Error ? reasonOf(error) : String(error), error);
  });
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATING]);
    return await act(overPostgres(client));
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATING]).catch(() => undefined);
    client.release();
  }
}

/** An error of a connection that was tried at several addresses says nothing itself. */
function reasonOf(error: Error): string {
  return error instanceof AggregateError ? error.errors.map(String).join(', ') : error.message;
}

/**
 * Says so if another server uses the database: what is saved is shared, a roll is not.
 *
 * @returns releases the sign of this server
 */
export async function noteOtherServers(databaseUrl: string): Promise<() => Promise<void>> {
  const client = new pg.Client({ connectionString: databaseUrl });
  client.on('error', () => undefined);
  await client.connect();
  const { rows } = await client.query<{ alone: boolean }>('select pg_try_advisory_lock($1) as alone', [SERVING]);
  if (!rows[0]!.alone) console.log(sharedDatabaseText());
  return () => Promise.race([client.end().catch(() => undefined), pause(1000)]);
}

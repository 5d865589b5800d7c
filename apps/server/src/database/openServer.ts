import type { Database } from './database.js';
import type { OpenDatabase } from './openDatabase.js';
import { alone, connect, noteOtherServers, overPostgres } from './server.js';

/**
 * Connects to a PostgreSQL server, and notes that this program uses it.
 *
 * @param bringToNewest - runs missing migrations on a connection that no other program has
 * @throws {ServerAway} if the server does not answer
 */
export async function openServerMigrated(
  databaseUrl: string,
  bringToNewest: (open: OpenDatabase, db: Database) => Promise<void>,
): Promise<OpenDatabase> {
  const pool = connect(databaseUrl);
  const open = plainServer(pool);
  try {
    await alone(pool, (db) => bringToNewest(open, db));
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

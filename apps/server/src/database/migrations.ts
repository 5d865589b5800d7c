import { sql } from 'drizzle-orm';
import { type MigrationMeta, readMigrationFiles } from 'drizzle-orm/migrator';
import { newerStoreText } from '@still-heron/wording';
import { PLACES } from '../places.js';
import { VERSION } from '../version.js';
import type { Database } from './database.js';

/** What Drizzle's own migrators call; its types leave it out. */
interface Migrating {
  readonly dialect: {
    migrate(migrations: readonly MigrationMeta[], session: unknown, config: { migrationsFolder: string }): Promise<void>;
  };
  readonly session: unknown;
}

/** A newer version wrote the database, which this one does not understand. */
export class NewerStore extends Error {
  constructor(where: string, writtenBy: string) {
    super(newerStoreText(where, writtenBy, VERSION));
    this.name = 'NewerStore';
  }
}

/** Migrations of this version, in order. */
export function knownMigrations(): readonly MigrationMeta[] {
  return readMigrationFiles({ migrationsFolder: PLACES.migrations });
}

/**
 * Number of migrations that a database has; 0 for a new one.
 *
 * @param where - the database, as a message names it
 * @throws {NewerStore} if it has migrations that this version does not know
 */
export async function storedMigrations(db: Database, where: string): Promise<number> {
  const [table] = await rowsOf<{ found: string | null; comment: string | null }>(
    db,
    sql`select to_regclass('drizzle.__drizzle_migrations')::text as found,
      obj_description(to_regclass('drizzle.__drizzle_migrations')) as comment`,
  );
  if (!table?.found) return 0;
  const [stored] = await rowsOf<{ count: number; newest: number | null }>(
    db,
    sql`select count(*)::int as count, max(created_at)::float8 as newest from drizzle.__drizzle_migrations`,
  );
  const newestKnown = knownMigrations().at(-1)!.folderMillis;
  if ((stored?.newest ?? 0) > newestKnown) throw new NewerStore(where, table.comment ?? '');
  return stored?.count ?? 0;
}

/**
 * Runs the migrations that a database does not have yet.
 *
 * @param upTo - how many of all; for a backup of an earlier version
 */
export async function migrate(db: Database, upTo = Infinity): Promise<void> {
  const { dialect, session } = db as unknown as Migrating;
  await dialect.migrate(knownMigrations().slice(0, upTo), session, { migrationsFolder: PLACES.migrations });
  await db.execute(sql`comment on table drizzle.__drizzle_migrations is ${sql.raw(`'${VERSION}'`)}`);
}

/** Rows of a statement, whatever the driver. */
export async function rowsOf<R>(db: Pick<Database, 'execute'>, statement: Parameters<Database['execute']>[0]): Promise<R[]> {
  return ((await db.execute(statement)) as unknown as { readonly rows: R[] }).rows;
}

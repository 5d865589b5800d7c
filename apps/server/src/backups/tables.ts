import { sql } from 'drizzle-orm';
import { rowsOf } from '../database/migrations.js';
import type { Database } from '../database/database.js';
import { type BackupRow, RowDigest } from './backupFile.js';

/** Tables with the columns that order their rows. A table follows those that its rows point to. */
const TABLES: readonly { readonly name: string; readonly key: string }[] = [
  { name: 'productions', key: 'id' },
  { name: 'pictures', key: 'id' },
  { name: 'cameras', key: 'id' },
  { name: 'lenses', key: 'id' },
  { name: 'wheels', key: 'id' },
  { name: 'rigs', key: 'id' },
  { name: 'shots', key: 'id' },
  { name: 'shot_revisions', key: 'shot_id, version' },
  { name: 'takes', key: 'id' },
  { name: 'take_revisions', key: 'take_id, version' },
];

/** Tables of documents that pages edit, each with a version. */
const VERSIONED = ['productions', 'shots', 'takes', 'cameras', 'lenses', 'wheels', 'rigs'];

/** Rows that are read, and characters that are written, with one statement. */
const ROWS_AT_ONCE = 50;
const CHARACTERS_AT_ONCE = 1_000_000;

/** Counts that tell a person what a backup holds. Deleted shots and takes that can be restored are not counted. */
export interface Holds {
  readonly productions: number;
  readonly shots: number;
  readonly takes: number;
}

/** What the database holds. It may have the form of an earlier version, in which deleted takes were gone at once. */
export async function countRows(db: Pick<Database, 'execute'>): Promise<Holds> {
  const marked = await rowsOf(
    db,
    sql`select 1 from information_schema.columns where table_name = 'takes' and column_name = 'deleted_at'`,
  );
  const takes = sql.raw(marked.length > 0 ? 'takes where deleted_at is null' : 'takes');
  const [counted] = await rowsOf<Holds>(
    db,
    sql`select (select count(*)::int from productions) as productions,
      (select count(*)::int from shots where deleted_at is null) as shots, (select count(*)::int from ${takes}) as takes`,
  );
  return counted!;
}

/** Tables that exist in this form of the database. */
async function storedTables(db: Pick<Database, 'execute'>): Promise<typeof TABLES> {
  const rows = await rowsOf<{ name: string }>(db, sql`select tablename as name from pg_tables where schemaname = 'public'`);
  const stored = new Set(rows.map(({ name }) => name));
  return TABLES.filter(({ name }) => stored.has(name));
}

/**
 * Every row of every table, as JSON text in which PostgreSQL reads all columns back equal.
 *
 * @param db - a transaction that sees one state
 */
export async function* allRows(db: Pick<Database, 'execute'>): AsyncGenerator<BackupRow> {
  for (const { name, key } of await storedTables(db)) {
    await db.execute(
      sql.raw(`declare backed_up no scroll cursor for select to_jsonb(t)::text as row from "${name}" t order by ${key}`),
    );
    for (;;) {
      const rows = await rowsOf<{ row: string }>(db, sql.raw(`fetch ${ROWS_AT_ONCE} from backed_up`));
      for (const { row } of rows) yield { table: name, row };
      if (rows.length < ROWS_AT_ONCE) break;
    }
    await db.execute(sql`close backed_up`);
  }
}

/** Digest of all rows. @param db - a transaction that sees one state */
export async function digestOf(db: Pick<Database, 'execute'>): Promise<string> {
  const digest = new RowDigest();
  for await (const entry of allRows(db)) digest.add(entry);
  return digest.end().digest;
}

/**
 * Replaces all rows by others.
 *
 * @param db - a transaction, which is to be rolled back if this fails
 */
export async function replaceRows(db: Pick<Database, 'execute'>, rows: AsyncIterable<BackupRow>): Promise<void> {
  const stored = await storedTables(db);
  await db.execute(sql.raw(`truncate ${stored.map(({ name }) => `"${name}"`).join(', ')}`));
  let [table, batch, length]: [string, string[], number] = ['', [], 0];
  const flush = async () => {
    if (batch.length > 0) {
      if (!stored.some(({ name }) => name === table)) throw new Error(`there is no table ${table}`);
      const target = sql.raw(`"${table}"`);
      await db.execute(
        sql`insert into ${target} select * from jsonb_populate_recordset(null::${target}, ${`[${batch.join(',')}]`}::jsonb)`,
      );
    }
    [batch, length] = [[], 0];
  };
  for await (const entry of rows) {
    if (entry.table !== table || length > CHARACTERS_AT_ONCE) await flush();
    table = entry.table;
    batch.push(entry.row);
    length += entry.row.length;
  }
  await flush();
}

/** The highest version of any document; 0 without documents. */
export async function newestVersion(db: Pick<Database, 'execute'>): Promise<number> {
  return (await versionRange(db)).highest;
}

/**
 * Raises the version of every document by the same amount, so that each is above a given one. Saved versions of shots keep their order.
 *
 * @param above - highest version that pages may have read
 */
export async function raiseVersions(db: Pick<Database, 'execute'>, above: number): Promise<void> {
  const by = Math.max(0, above + 1 - (await versionRange(db)).lowest);
  for (const name of VERSIONED) await db.execute(sql.raw(`update "${name}" set version = version + ${by}`));
  // in two steps, because a shot's saved versions must not meet on the way
  await db.execute(sql.raw(`update shot_revisions set version = -version - ${by}`));
  await db.execute(sql`update shot_revisions set version = -version`);
}

async function versionRange(db: Pick<Database, 'execute'>): Promise<{ readonly lowest: number; readonly highest: number }> {
  const all = VERSIONED.map((name) => `select version from "${name}"`).join(' union all ');
  const [range] = await rowsOf<{ lowest: number; highest: number }>(
    db,
    sql.raw(
      `select coalesce(min(version), 1)::int as lowest, coalesce(max(version), 0)::int as highest from (${all}) as versions`,
    ),
  );
  return range!;
}

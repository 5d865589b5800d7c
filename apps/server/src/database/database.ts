import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type * as schema from './schema.js';

/** The database independent of its driver: same schema, same SQL. Also the type of a transaction. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

import type { Database } from './database.js';

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

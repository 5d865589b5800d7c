import { randomUUID } from 'node:crypto';
import { readdirSync, rmSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { OpenDatabase } from '../database/openDatabase.js';
import type { BackupSource } from './makeBackup.js';

const COPY = '.copy-';

/**
 * Lends what a backup is made of: a copy of the store, which is removed afterwards, or the server's address.
 *
 * @param folder - of the backups; copies of a server that was killed are removed from it
 */
export async function copyForBackup<T>(
  { copyStore }: OpenDatabase,
  databaseUrl: string | null,
  folder: string,
  use: (source: BackupSource) => Promise<T>,
): Promise<T> {
  if (!copyStore) return use({ databaseUrl: databaseUrl! });
  for (const name of readdirSync(folder)) if (name.startsWith(COPY)) rmSync(join(folder, name), { recursive: true, force: true });
  const copy = join(folder, `${COPY}${randomUUID()}`);
  try {
    await copyStore(copy);
    return await use({ copy });
  } finally {
    await rm(copy, { recursive: true, force: true });
  }
}

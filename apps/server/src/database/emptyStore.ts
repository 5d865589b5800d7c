import { rmSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { overPglite } from './driver.js';
import { migrate } from './migrations.js';

/** Makes an empty database with all migrations in a folder, in place of what is there. */
export async function makeEmptyStore(folder: string): Promise<void> {
  rmSync(folder, { recursive: true, force: true });
  const client = await PGlite.create(folder);
  await migrate(overPglite(client));
  await client.close();
}

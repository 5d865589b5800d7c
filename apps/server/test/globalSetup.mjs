import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';

/** Makes an empty, migrated database once, of the one that the build made if there is one. Each test server starts on a copy of it, which is several times faster. */
export default async function setUp() {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-template-'));
  const store = join(folder, 'pglite');
  const built = resolve(import.meta.dirname, '../bundle/newStore');
  if (existsSync(built)) cpSync(built, store, { recursive: true });
  const client = await PGlite.create(store);
  await migrate(drizzle(client), { migrationsFolder: resolve(import.meta.dirname, '../migrations') });
  await client.close();
  process.env.STILL_HERON_TEMPLATE = folder;
  globalThis.removeTemplate = () => rmSync(folder, { recursive: true, force: true });
}

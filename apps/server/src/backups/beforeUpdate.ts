import { mkdirSync } from 'node:fs';
import type { OpenDatabase } from '../database/driver.js';
import type { Config } from '../config.js';
import { copyForBackup } from './copyForBackup.js';
import { makeBackup } from './makeBackup.js';
import { backupsFolder } from './stored.js';

/** Backs up a database before its form is changed. The start waits for it, and ends if it fails: nothing was changed then. */
export async function backUpBeforeUpdate(
  open: OpenDatabase,
  { databaseUrl, dataFolder }: Pick<Config, 'databaseUrl' | 'dataFolder'>,
): Promise<void> {
  const folder = backupsFolder(dataFolder);
  mkdirSync(folder, { recursive: true });
  const madeAt = new Date().toISOString();
  await copyForBackup(open, databaseUrl, folder, (source) =>
    makeBackup({ source, folder, reason: 'before-update', madeAt, onlyIfChanged: false }),
  );
}

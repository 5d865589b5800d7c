import { mkdirSync } from 'node:fs';
import type { BackupReason } from '@still-heron/contract';
import type { Config } from '../config.js';
import type { OpenDatabase } from '../database/openDatabase.js';
import { copyForBackup } from './copyForBackup.js';
import { makeBackup } from './makeBackup.js';
import { backupsFolder } from './stored.js';

/** Where data and backups are. */
export type Place = Pick<Config, 'databaseUrl' | 'dataFolder'>;

/**
 * Makes a backup in this thread, for what can't go on without it: a command, or an update of the database.
 *
 * @returns its name
 * @throws {Error} with the reason; nothing was changed then
 */
export async function backUp(open: OpenDatabase, { databaseUrl, dataFolder }: Place, reason: BackupReason): Promise<string> {
  const folder = backupsFolder(dataFolder);
  mkdirSync(folder, { recursive: true });
  const order = { folder, reason, madeAt: new Date().toISOString(), onlyIfChanged: false };
  return (await copyForBackup(open, databaseUrl, folder, (source) => makeBackup({ ...order, source })))!;
}

import { existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import type { BackupView, ErrorBody, RestoredView } from '@still-heron/contract';
import {
  backupLine,
  emptyStartText,
  madeText,
  NO_EMPTY_SERVER,
  noSuchBackupText,
  putAsideText,
  restoredText,
} from '@still-heron/wording';
import { BrokenStore } from '../database/brokenStore.js';
import { openDatabase, storeFolder } from '../database/driver.js';
import type { OpenDatabase } from '../database/openDatabase.js';
import { DataFolderInUse, lockDataFolder } from '../database/lock.js';
import { backUp, type Place } from './backUp.js';
import { readDigest } from './backupFile.js';
import { restoreBackup } from './makeBackup.js';
import { backupsFolder, readBackup, readBackups } from './stored.js';

/** File in the data folder with the address of the server that uses it. */
export const ADDRESS_FILE = 'address';

/** Starts without data. */
export const EMPTY = '--empty';

/** Makes a backup, by the server if one is running. @returns what is printed */
export async function backupCommand(place: Place): Promise<string> {
  const made = await bySelfOrServer(
    place,
    async (open) => {
      const name = await backUp(open, place, 'by-hand');
      return (await readBackup(backupsFolder(place.dataFolder), name))!;
    },
    (address) => post<BackupView>(`${address}/api/backups`),
  );
  return madeText(made, backupsFolder(place.dataFolder));
}

/**
 * Restores a backup, by the server if one is running. A folder that can't be opened is put aside first. Without a name, the backups are
 * listed.
 *
 * @param name - of a backup, or `EMPTY`
 * @returns what is printed
 * @throws {BadBackup} before anything is changed
 */
export async function restoreCommand(place: Place, name: string | undefined): Promise<string> {
  const folder = backupsFolder(place.dataFolder);
  mkdirSync(folder, { recursive: true });
  const backups = (await readBackups(folder)).reverse();
  if (name === undefined) return backups.map(backupLine).join('\n') || noSuchBackupText(null, folder);
  if (name === EMPTY && place.databaseUrl !== null) throw new Error(NO_EMPTY_SERVER);
  if (name === EMPTY) return emptyStartText(await putAside(place.dataFolder));
  const backup = backups.find((one) => one.name === name);
  if (!backup) throw new Error([noSuchBackupText(name, folder), ...backups.map(backupLine)].join('\n'));
  const lines: string[] = [];
  const path = join(folder, name);
  const digest = await readDigest(path);
  const own = async (open: OpenDatabase) => {
    const before = await backUp(open, place, 'before-restore');
    await restoreBackup(path, digest, open.db);
    return before;
  };
  const byServer = async (address: string) => (await post<RestoredView>(`${address}/api/backups/${name}/restore`)).before.name;
  try {
    lines.push(restoredText(backup, await bySelfOrServer(place, own, byServer)));
  } catch (error) {
    if (!(error instanceof BrokenStore)) throw error;
    lines.push(putAsideText(await putAside(place.dataFolder)));
    const open = await openDatabase(place);
    try {
      await restoreBackup(path, digest, open.db);
    } finally {
      await open.close();
    }
    lines.push(restoredText(backup, null));
  }
  return lines.join('\n');
}

/** Opens the database for an act; where a server uses it, the server is asked. */
async function bySelfOrServer<T>(
  place: Place,
  own: (open: OpenDatabase) => Promise<T>,
  byServer: (address: string) => Promise<T>,
): Promise<T> {
  let open: OpenDatabase;
  try {
    open = await openDatabase({ ...place, beforeMigration: (store) => backUp(store, place, 'before-update') });
  } catch (error) {
    const address = join(place.dataFolder, ADDRESS_FILE);
    if (!(error instanceof DataFolderInUse) || !existsSync(address)) throw error;
    return byServer(readFileSync(address, 'utf8').trim());
  }
  try {
    return await own(open);
  } finally {
    await open.close();
  }
}

/** @throws {Error} with what the server says, if it refuses */
async function post<T>(address: string): Promise<T> {
  const response = await fetch(address, { method: 'POST' });
  const body = (await response.json()) as T;
  if (!response.ok) throw new Error((body as ErrorBody).message);
  return body;
}

/** Gives the folder of the database another name. @returns it; null if there was no database @throws {DataFolderInUse} */
async function putAside(dataFolder: string): Promise<string | null> {
  mkdirSync(dataFolder, { recursive: true });
  const unlock = lockDataFolder(dataFolder);
  try {
    const folder = storeFolder(dataFolder);
    if (!existsSync(folder)) return null;
    const aside = `${folder}-put-aside-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}Z`;
    renameSync(folder, aside);
    return aside;
  } finally {
    unlock();
  }
}

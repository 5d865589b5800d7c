import { rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { BackupView } from '@still-heron/contract';
import { BadBackup, readHeader } from './backupFile.js';
import { backupNames } from './makeBackup.js';
import { outdated } from './retention.js';

/** Folder of the backups of a data folder. */
export function backupsFolder(dataFolder: string): string {
  return join(dataFolder, 'backups');
}

/** The backups of a folder, oldest first. A file that can't be read is left out. */
export async function readBackups(folder: string): Promise<BackupView[]> {
  const found: BackupView[] = [];
  for (const name of backupNames(folder)) {
    const backup = await readBackup(folder, name).catch((error: unknown) => {
      if (error instanceof BadBackup) return null;
      throw error;
    });
    if (backup) found.push(backup);
  }
  return found;
}

/** A backup of a folder; null if there is none of that name. @throws {BadBackup} */
export async function readBackup(folder: string, name: string): Promise<BackupView | null> {
  if (!/^[\w-]+\.backup\.gz$/.test(name)) return null;
  try {
    const { madeAt, reason, productions, shots, takes } = await readHeader(join(folder, name));
    return { name, madeAt, reason, bytes: statSync(join(folder, name)).size, productions, shots, takes };
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
}

/** Removes the backups that are no longer kept. */
export async function thinOut(folder: string, nowMs: number): Promise<void> {
  const kept = (await readBackups(folder)).map(({ name, madeAt, reason }) => ({ name, madeAtMs: Date.parse(madeAt), reason }));
  for (const { name } of outdated(kept, nowMs)) rmSync(join(folder, name), { force: true });
}

import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { brokenStoreText } from '@still-heron/wording';
import type { BrokenStore } from '../database/brokenStore.js';
import { backupsFolder, readBackups } from './stored.js';

/** What to say when the database can't be opened: what is wrong, and which backup there is. */
export async function describeBroken({ folder, reason }: BrokenStore, dataFolder: string): Promise<string> {
  const place = backupsFolder(dataFolder);
  const newest = existsSync(place) ? (await readBackups(place)).at(-1) : undefined;
  const written = existsSync(folder) ? newestChangeMs(folder) : 0;
  return brokenStoreText({ folder, reason, writtenAtMs: written > 0 ? written : null }, newest ?? null);
}

/** When a file below a folder was written last, in ms since 1970; 0 without files. */
function newestChangeMs(folder: string): number {
  return Math.max(
    0,
    ...readdirSync(folder, { withFileTypes: true }).map((entry) => {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) return newestChangeMs(path);
      return entry.isFile() ? statSync(path).mtimeMs : 0;
    }),
  );
}

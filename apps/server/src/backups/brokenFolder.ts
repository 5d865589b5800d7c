import { existsSync } from 'node:fs';
import { brokenStoreText } from '@still-heron/wording';
import type { BrokenStore } from '../database/brokenStore.js';
import { filesBelow } from '../database/filesBelow.js';
import { backupsFolder, readBackups } from './stored.js';

/** What to say when the database can't be opened: what is wrong, and which backup there is. */
export async function describeBroken({ folder, reason }: BrokenStore, dataFolder: string): Promise<string> {
  const place = backupsFolder(dataFolder);
  const newest = existsSync(place) ? (await readBackups(place)).at(-1) : undefined;
  const written = existsSync(folder) ? filesBelow(folder).map(({ mtimeMs }) => mtimeMs) : [];
  return brokenStoreText({ folder, reason, writtenAtMs: written.length > 0 ? Math.max(...written) : null }, newest ?? null);
}

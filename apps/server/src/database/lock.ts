import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Another process uses the data folder. */
export class DataFolderInUse extends Error {
  constructor(folder: string, processId: number) {
    super(
      `Another Still Heron (process ${processId}) is using the data folder ${folder}. ` +
        `Stop that one first, or set STILL_HERON_DATA to another folder. Two at once would overwrite each other’s data.`,
    );
    this.name = 'DataFolderInUse';
  }
}

const FILE = 'in-use-by';

/** Folders locked by this process. */
const heldHere = new Set<string>();

/**
 * Locks a data folder against other processes, because PGlite has no lock. A lock of a process that no longer runs is taken
 * over.
 *
 * @param folder - must exist
 * @returns a function that releases the lock; safe to call twice
 * @throws {DataFolderInUse}
 */
export function lockDataFolder(folder: string): () => void {
  const path = join(folder, FILE);
  for (let attempt = 0; ; attempt++) {
    try {
      writeFileSync(path, String(process.pid), { flag: 'wx' });
      break;
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      const holder = Number(readFileSync(path, 'utf8'));
      // our own process id in a file that we did not write: left over from before a restart of the machine or container
      const isInUse = holder === process.pid ? heldHere.has(path) : isAlive(holder);
      if (attempt > 2 || isInUse) throw new DataFolderInUse(folder, holder);
      rmSync(path, { force: true });
    }
  }
  heldHere.add(path);
  return () => {
    if (heldHere.delete(path)) rmSync(path, { force: true });
  };
}

function isAlive(processId: number): boolean {
  if (!Number.isInteger(processId) || processId <= 0) return false;
  try {
    process.kill(processId, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

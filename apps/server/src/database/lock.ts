import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** The data folder is in use by another process. */
export class DataFolderInUse extends Error {
  constructor(folder: string, processId: number) {
    super(
      `Another Still Heron (process ${processId}) is using the data folder ${folder}. ` +
        `Stop that one first, or set STILL_HERON_DATA to another folder. Two at once would lose what one of them saves.`,
    );
    this.name = 'DataFolderInUse';
  }
}

const FILE = 'in-use-by';

/** Folders this process has locked itself. */
const heldHere = new Set<string>();

/**
 * Keeps other processes off a data folder: PGlite has no lock of its own. A lock whose process is gone is taken over.
 *
 * @param folder - exists already
 * @returns gives the folder free again; safe to call twice
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
      // our own number in a file that we did not write was left by a process before a restart of the machine or container
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

import { randomUUID } from 'node:crypto';
import { linkSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
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

/** A holder's file starts with this, so that each has one of its own. Earlier versions had one file of this name. */
const FILE = 'in-use-by';
/** What both do that start at the same moment: step back, and try again a different while later. */
const TRIES = 6;
const PAUSE_MS = { min: 20, max: 150 };

/** Who holds a lock. A process number comes again, after a while or after a restart of the machine; all of these together do not. */
interface Holder {
  readonly processId: number;
  /** Start of the process, as the system counts it; null where that can't be read */
  readonly startedAt: string | null;
  /** Start of the machine; null where that can't be read */
  readonly boot: string | null;
  /** Device and number of the locked folder: in a copy of it the lock means nothing */
  readonly folder: string;
}

/**
 * Locks a data folder against other processes, because PGlite has no lock. A lock is void if its process has ended, even if its number has come
 * again, and if the folder is a copy.
 *
 * Each process first puts its own name into the folder, and then looks for others. The second one sees the first, so that there are never
 * two holders. Two that start at the same moment may both step back; they try again.
 *
 * @param folder - must exist
 * @returns a function that releases the lock; safe to call twice
 * @throws {DataFolderInUse}
 */
export function lockDataFolder(folder: string): () => void {
  for (let attempt = 1; ; attempt++) {
    const own = putOwn(folder);
    const other = otherHolder(folder, own);
    if (other === null) {
      removeVoid(folder, own);
      return () => rmSync(join(folder, own), { force: true });
    }
    rmSync(join(folder, own), { force: true });
    if (attempt === TRIES) throw new DataFolderInUse(folder, other.processId);
    pause(PAUSE_MS.min + Math.random() * (PAUSE_MS.max - PAUSE_MS.min));
  }
}

/** Puts the file of this process into the folder, in one step with what it says. */
function putOwn(folder: string): string {
  const name = `${FILE}-${randomUUID()}`;
  const unfinished = join(folder, `.${name}`);
  const holder: Holder = {
    processId: process.pid,
    startedAt: startOf(process.pid),
    boot: bootOf(),
    folder: folderId(folder),
  };
  writeFileSync(unfinished, JSON.stringify(holder), { flag: 'wx' });
  linkSync(unfinished, join(folder, name));
  rmSync(unfinished);
  return name;
}

/** A living holder besides our own; null if there is none. */
function otherHolder(folder: string, own: string): Holder | null {
  return lockFiles(folder, own).reduce<Holder | null>((found, name) => found ?? livingHolder(folder, name), null);
}

function removeVoid(folder: string, own: string): void {
  for (const name of lockFiles(folder, own)) if (livingHolder(folder, name) === null) rmSync(join(folder, name), { force: true });
}

function lockFiles(folder: string, own: string): string[] {
  return readdirSync(folder).filter((name) => name.startsWith(FILE) && name !== own);
}

/** Holder of a lock file; null if the lock is void. */
function livingHolder(folder: string, name: string): Holder | null {
  const holder = readHolder(join(folder, name));
  if (!holder || !isAlive(holder.processId)) return null;
  const isSame = (noted: string | null, now: string | null) => noted === null || now === null || noted === now;
  const isItself = isSame(holder.startedAt, startOf(holder.processId)) && isSame(holder.boot, bootOf());
  return isItself && (holder.folder === '' || holder.folder === folderId(folder)) ? holder : null;
}

/** Earlier versions wrote the process number alone. */
function readHolder(path: string): Holder | null {
  try {
    const parsed: unknown = JSON.parse(readFileSync(path, 'utf8'));
    if (typeof parsed === 'number') return { processId: parsed, startedAt: null, boot: null, folder: '' };
    return typeof parsed === 'object' && parsed !== null && 'processId' in parsed ? (parsed as Holder) : null;
  } catch {
    return null;
  }
}

/** Start of a process in ticks since the machine started: the 22nd field of its state, counted behind its name in brackets. */
function startOf(processId: number): string | null {
  const state = read(`/proc/${processId}/stat`);
  return state?.slice(state.lastIndexOf(')') + 2).split(' ')[19] ?? null;
}

function bootOf(): string | null {
  return read('/proc/sys/kernel/random/boot_id')?.trim() ?? null;
}

function folderId(folder: string): string {
  const { dev, ino } = statSync(folder);
  return `${dev}:${ino}`;
}

/** A file of the system; null where there is none. */
function read(path: string): string | null {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return null;
  }
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

/** The start of a server waits for nothing else. */
function pause(ms: number): void {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);
}

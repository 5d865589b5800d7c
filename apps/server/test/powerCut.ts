import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { DiskEvent } from './diskRecorder';

/** A disk writes sectors as a whole, and in any order until they are forced. */
const SECTOR = 512;

/** Bytes that grow and shrink in place. */
class Bytes {
  #buffer: Uint8Array;
  length: number;

  constructor(bytes: Uint8Array) {
    this.#buffer = Uint8Array.from(bytes);
    this.length = bytes.length;
  }

  write(at: number, bytes: Uint8Array): void {
    this.#hold(at + bytes.length);
    this.#buffer.set(bytes, at);
    this.length = Math.max(this.length, at + bytes.length);
  }

  truncate(length: number): void {
    this.#hold(length);
    if (length < this.length) this.#buffer.fill(0, length, this.length);
    this.length = length;
  }

  get value(): Uint8Array {
    return this.#buffer.subarray(0, this.length);
  }

  #hold(length: number): void {
    if (length <= this.#buffer.length) return;
    const larger = new Uint8Array(Math.max(length, 2 * this.#buffer.length));
    larger.set(this.value);
    this.#buffer = larger;
  }
}

interface DiskFile {
  /** What is certain to be on the disk */
  readonly forced: Bytes;
  /** What may be there or not, in order */
  pending: Extract<DiskEvent, { kind: 'write' | 'truncate' }>[];
}

/**
 * Writes what a disk may hold after a power cut. Of what was not forced, each sector is there or not, and a length is the old or the new one.
 * The names of files come in order, as a journalling file system keeps them: up to some point after the last that was forced.
 *
 * @param start - bytes of the files at the start of the recording, by number
 * @param names - numbers of those files by path
 * @param random - from 0 to below 1
 */
export function writeAfterCut(
  folder: string,
  { start, names, folders }: DiskAtStart,
  events: readonly DiskEvent[],
  random: () => number,
): void {
  const files = new Map<number, DiskFile>([...start].map(([file, forced]) => [file, { forced: new Bytes(forced), pending: [] }]));
  let forcedNames = 0;
  const changes: Extract<DiskEvent, { kind: 'make' | 'folder' | 'rename' | 'remove' }>[] = [];
  for (const event of events) {
    switch (event.kind) {
      case 'write':
      case 'truncate':
        fileOf(files, event.file).pending.push(event);
        break;
      case 'sync': {
        const file = fileOf(files, event.file);
        for (const change of file.pending) apply(file.forced, change);
        file.pending = [];
        // a forced file has its name
        const made = changes.findLastIndex((change) => change.kind === 'make' && change.file === event.file);
        forcedNames = Math.max(forcedNames, made + 1);
        break;
      }
      case 'sync-folder':
        forcedNames = changes.length;
        break;
      case 'acknowledged':
        break;
      default:
        changes.push(event);
    }
  }
  const kept = forcedNames + Math.floor(random() * (changes.length - forcedNames + 1));
  const named = new Map(names);
  const made = new Set(folders);
  for (const change of changes.slice(0, kept)) rename(named, made, change);
  for (const path of made) mkdirSync(join(folder, path), { recursive: true });
  for (const [path, number] of named) {
    const { forced, pending } = fileOf(files, number);
    for (const event of pending) applyPartly(forced, event, random);
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), forced.value, { mode: 0o600 });
  }
}

export interface DiskAtStart {
  readonly start: ReadonlyMap<number, Uint8Array>;
  readonly names: ReadonlyMap<string, number>;
  readonly folders: readonly string[];
}

/** The present state of a folder, as it counts as forced. */
export function diskAtStart(folder: string, files: ReadonlyMap<string, number>): DiskAtStart {
  return {
    start: new Map([...files].map(([path, file]) => [file, new Uint8Array(readFileSync(join(folder, path)))])),
    names: new Map(files),
    folders: foldersOf(folder),
  };
}

function foldersOf(folder: string, below = ''): string[] {
  return readdirSync(join(folder, below), { withFileTypes: true }).flatMap((entry) => {
    const path = join(below, entry.name);
    return entry.isDirectory() ? [path, ...foldersOf(folder, path)] : [];
  });
}

function fileOf(files: Map<number, DiskFile>, number: number): DiskFile {
  let file = files.get(number);
  if (!file) files.set(number, (file = { forced: new Bytes(new Uint8Array(0)), pending: [] }));
  return file;
}

function rename(
  named: Map<string, number>,
  folders: Set<string>,
  change: Extract<DiskEvent, { kind: 'make' | 'folder' | 'rename' | 'remove' }>,
): void {
  if (change.kind === 'make') named.set(change.path, change.file);
  else if (change.kind === 'folder') folders.add(change.path);
  else if (change.kind === 'remove') {
    named.delete(change.path);
    folders.delete(change.path);
  } else {
    const file = named.get(change.from);
    named.delete(change.from);
    if (file !== undefined) named.set(change.to, file);
  }
}

function apply(bytes: Bytes, event: DiskFile['pending'][number]): void {
  if (event.kind === 'truncate') bytes.truncate(event.length);
  else bytes.write(event.at, event.bytes);
}

/** A change of which each sector, and the length, may have reached the disk or not. */
function applyPartly(bytes: Bytes, event: DiskFile['pending'][number], random: () => number): void {
  if (event.kind === 'truncate') {
    if (random() < 0.5) bytes.truncate(event.length);
    return;
  }
  const end = event.at + event.bytes.length;
  for (let from = event.at; from < end;) {
    const to = Math.min((Math.floor(from / SECTOR) + 1) * SECTOR, end);
    if (random() < 0.5) bytes.write(from, event.bytes.subarray(from - event.at, to - event.at));
    from = to;
  }
}

import { createRequire } from 'node:module';
import { lstatSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** What PGlite does to a folder, in order: enough to work out what a disk may hold after a power cut. */
export type DiskEvent =
  | { readonly kind: 'write'; readonly file: number; readonly at: number; readonly bytes: Uint8Array }
  | { readonly kind: 'truncate'; readonly file: number; readonly length: number }
  | { readonly kind: 'sync'; readonly file: number }
  | { readonly kind: 'make'; readonly path: string; readonly file: number }
  | { readonly kind: 'folder'; readonly path: string }
  | { readonly kind: 'rename'; readonly from: string; readonly to: string }
  | { readonly kind: 'remove'; readonly path: string }
  | { readonly kind: 'sync-folder'; readonly path: string }
  /** A change was acknowledged: from here on it must be there */
  | { readonly kind: 'acknowledged'; readonly change: number };

/** The mutable module object that Emscripten's folder calls. */
type Fs = Record<string, (...args: never[]) => unknown>;

/** Records what happens below a folder, from a state that counts as being on the disk. */
export class DiskRecorder {
  readonly events: DiskEvent[] = [];
  /** Number of each file by its path */
  readonly #files = new Map<string, number>();
  readonly #open = new Map<number, { readonly path: string; readonly file: number | null }>();
  readonly #fs = createRequire(__filename)('fs') as Fs;
  readonly #original: Fs = { ...this.#fs };
  readonly #replaced: string[] = [];
  #next = 0;

  constructor(readonly folder: string) {
    for (const path of filesOf(folder)) this.#files.set(path, this.#next++);
    this.#replace();
  }

  /** Numbers of the files that are there at the start, by path within the folder. */
  get files(): ReadonlyMap<string, number> {
    return this.#files;
  }

  acknowledged(change: number): void {
    this.events.push({ kind: 'acknowledged', change });
  }

  stop(): void {
    for (const name of this.#replaced) this.#fs[name] = this.#original[name]!;
  }

  #isBelow = (path: unknown): path is string => typeof path === 'string' && path.startsWith(this.folder);
  #short = (path: string) => path.slice(this.folder.length).replace(/^\/+/, '');

  #replace(): void {
    const did = (event: DiskEvent) => void this.events.push(event);
    const after = (name: string, note: (args: readonly unknown[], result: unknown) => void) => {
      const original = this.#original[name] as (...args: unknown[]) => unknown;
      this.#replaced.push(name);
      this.#fs[name] = (...args: unknown[]) => {
        const result = original.apply(this.#fs, args);
        note(args, result);
        return result;
      };
    };
    const numberOf = (path: string) => {
      const known = this.#files.get(path);
      if (known !== undefined) return known;
      this.#files.set(path, this.#next);
      did({ kind: 'make', path, file: this.#next });
      return this.#next++;
    };
    after('openSync', ([path], handle) => {
      if (!this.#isBelow(path)) return;
      const isFolder = lstatSync(path).isDirectory();
      this.#open.set(handle as number, { path: this.#short(path), file: isFolder ? null : numberOf(this.#short(path)) });
    });
    after('closeSync', ([handle]) => void this.#open.delete(handle as number));
    after('writeSync', ([handle, buffer, offset, length, position]) => {
      const open = this.#open.get(handle as number);
      if (!open || open.file === null) return;
      const bytes = Uint8Array.from((buffer as Uint8Array).subarray(offset as number, (offset as number) + (length as number)));
      did({ kind: 'write', file: open.file, at: position as number, bytes });
    });
    after('fsyncSync', ([handle]) => {
      const open = this.#open.get(handle as number);
      if (!open) return;
      did(open.file === null ? { kind: 'sync-folder', path: open.path } : { kind: 'sync', file: open.file });
    });
    after('ftruncateSync', ([handle, length]) => {
      const open = this.#open.get(handle as number);
      if (open && open.file !== null) did({ kind: 'truncate', file: open.file, length: (length as number | undefined) ?? 0 });
    });
    after('truncateSync', ([path, length]) => {
      if (this.#isBelow(path))
        did({ kind: 'truncate', file: numberOf(this.#short(path)), length: (length as number | undefined) ?? 0 });
    });
    after('writeFileSync', ([path]) => {
      if (this.#isBelow(path)) numberOf(this.#short(path));
    });
    after('mkdirSync', ([path]) => {
      if (this.#isBelow(path)) did({ kind: 'folder', path: this.#short(path) });
    });
    after('renameSync', ([from, to]) => {
      if (!this.#isBelow(from) || !this.#isBelow(to)) return;
      const [was, is] = [this.#short(from), this.#short(to)];
      const file = this.#files.get(was);
      this.#files.delete(was);
      if (file !== undefined) this.#files.set(is, file);
      did({ kind: 'rename', from: was, to: is });
    });
    const removed = ([path]: readonly unknown[]) => {
      if (!this.#isBelow(path)) return;
      this.#files.delete(this.#short(path));
      did({ kind: 'remove', path: this.#short(path) });
    };
    after('unlinkSync', removed);
    after('rmdirSync', removed);
  }
}

/** Paths of all files of a folder, from the folder. */
export function filesOf(folder: string, below = ''): string[] {
  return readdirSync(join(folder, below), { withFileTypes: true }).flatMap((entry) => {
    const path = join(below, entry.name);
    return entry.isDirectory() ? filesOf(folder, path) : [path];
  });
}

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

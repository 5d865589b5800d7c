import { createRequire } from 'node:module';
import { lstatSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

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
function filesOf(folder: string, below = ''): string[] {
  return readdirSync(join(folder, below), { withFileTypes: true }).flatMap((entry) => {
    const path = join(below, entry.name);
    return entry.isDirectory() ? filesOf(folder, path) : [path];
  });
}

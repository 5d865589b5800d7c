import { createHash, type Hash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import type { BackupReason } from '@still-heron/contract';

/** First line of a backup. */
export interface BackupHeader {
  readonly format: 'still-heron-backup';
  readonly schema: 1;
  /** Version of the program that made it */
  readonly version: string;
  /** Migrations of the database it was made from */
  readonly migrations: number;
  readonly madeAt: string;
  readonly reason: BackupReason;
  readonly productions: number;
  readonly shots: number;
  readonly takes: number;
}

/** Last line: tells a whole file from a part of one, and from another than was written. */
interface BackupEnd {
  readonly rows: number;
  /** SHA-256 of the lines between header and end */
  readonly digest: string;
}

/** A row of a backup: the table's name and the row as JSON text. */
export interface BackupRow {
  readonly table: string;
  readonly row: string;
}

/** The file is no backup, or not a whole one. */
export class BadBackup extends Error {
  constructor(file: string, reason: string) {
    super(`The backup ${file} can’t be used: ${reason}`);
    this.name = 'BadBackup';
  }
}

/** Digest of rows in their order, the same for a file and for the tables it was made of. */
export class RowDigest {
  private readonly hash: Hash = createHash('sha256');
  rows = 0;

  add({ table, row }: BackupRow): void {
    this.hash.update(`${table}\n${row}\n`);
    this.rows++;
  }

  end(): BackupEnd {
    return { rows: this.rows, digest: this.hash.digest('hex') };
  }
}

/**
 * Writes a backup, gzipped: a line of JSON as its header, a line for each row (table, tab, row as JSON), and a line of JSON as its end.
 *
 * @param path - a new file, or one to be replaced
 * @returns the digest of the rows
 */
export async function writeBackup(path: string, header: BackupHeader, rows: AsyncIterable<BackupRow>): Promise<string> {
  const digest = new RowDigest();
  let end: BackupEnd | null = null;
  async function* lines(): AsyncGenerator<string> {
    yield `${JSON.stringify(header)}\n`;
    for await (const entry of rows) {
      digest.add(entry);
      yield `${entry.table}\t${entry.row}\n`;
    }
    end = digest.end();
    yield `${JSON.stringify({ end })}\n`;
  }
  await pipeline(lines, createGzip(), createWriteStream(path, { flush: true }));
  return end!.digest;
}

/** Reads the header alone. @throws {BadBackup} */
export async function readHeader(path: string): Promise<BackupHeader> {
  const lines = linesOf(path);
  try {
    const first = await lines.next();
    return headerOf(path, first.done ? '' : first.value);
  } finally {
    // damage behind the first line is found when the rows are read
    await lines.return(undefined).catch(() => undefined);
  }
}

/**
 * Reads the rows of a backup in order.
 *
 * @throws {BadBackup} at its end, if rows are missing or are not those that were written
 */
export async function* readRows(path: string): AsyncGenerator<BackupRow> {
  const digest = new RowDigest();
  let end: BackupEnd | null = null;
  for await (const line of linesOf(path)) {
    const tab = line.indexOf('\t');
    if (line.startsWith('{')) end = (readJson(path, line) as { readonly end?: BackupEnd }).end ?? null;
    else if (tab > 0) {
      const entry = { table: line.slice(0, tab), row: line.slice(tab + 1) };
      digest.add(entry);
      yield entry;
    } else throw new BadBackup(path, 'a line of it can’t be read');
  }
  const found = digest.end();
  if (end === null) throw new BadBackup(path, 'its end is missing');
  if (found.digest !== end.digest) throw new BadBackup(path, `its ${found.rows} rows are not the ${end.rows} that were written`);
}

/** Digest that a backup says its rows have. @throws {BadBackup} */
export async function readDigest(path: string): Promise<string> {
  const digest = new RowDigest();
  for await (const entry of readRows(path)) digest.add(entry);
  return digest.end().digest;
}

function headerOf(path: string, line: string): BackupHeader {
  const header = readJson(path, line) as Partial<BackupHeader>;
  if (header.format !== 'still-heron-backup') throw new BadBackup(path, 'it is not a backup of Still Heron');
  if ((header.schema as number) !== 1) throw new BadBackup(path, `a newer Still Heron made it (${header.version ?? 'unknown'})`);
  return header as BackupHeader;
}

function readJson(path: string, line: string): object {
  try {
    return JSON.parse(line) as object;
  } catch {
    throw new BadBackup(path, 'a line of it can’t be read');
  }
}

/** Lines of a gzipped file. Only `\n` ends a line: texts hold other line separators. A missing file is an error of the system. */
async function* linesOf(path: string): AsyncGenerator<string, void, undefined> {
  const file = createReadStream(path);
  const unzipped = createGunzip();
  const fed = pipeline(file, unzipped).catch((error: unknown) => error);
  unzipped.setEncoding('utf8');
  let begun: string[] = [];
  try {
    for await (const chunk of unzipped as AsyncIterable<string>) {
      const [first, ...others] = chunk.split('\n');
      begun.push(first!);
      for (const next of others) {
        yield begun.join('');
        begun = [next];
      }
    }
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') throw error;
    throw new BadBackup(path, error instanceof Error ? error.message : String(error));
  } finally {
    file.destroy();
    await fed;
  }
  if (begun.some((part) => part !== '')) yield begun.join('');
}

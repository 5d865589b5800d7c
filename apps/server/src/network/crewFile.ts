import { randomBytes, randomUUID } from 'node:crypto';
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { force } from '../database/durableFolder.js';
import { newCrewCode } from './crewCode.js';

/** Who comes in, as it is kept in the data folder. */
export interface Crew {
  readonly code: string;
  /** Key that signs the cookies of those who have come in, in hexadecimal */
  readonly key: string;
  /** Whether a person has opened the server to the network */
  readonly isOpen: boolean;
}

const FILE = 'crew.json';
const KEY_BYTES = 32;

/** What only the owner of the data may read. */
const OWNER_ONLY = 0o600;

/** A new code, and a key that no earlier cookie fits. */
export function newEntry(): Pick<Crew, 'code' | 'key'> {
  return { code: newCrewCode(), key: randomBytes(KEY_BYTES).toString('hex') };
}

/** The crew of a data folder. Without a file, or with one that can't be read, it is a new one whose code nobody knows yet. */
export function readCrew(dataFolder: string): Crew {
  const path = join(dataFolder, FILE);
  const kept = existsSync(path) ? parse(readFileSync(path, 'utf8')) : null;
  if (kept) return kept;
  const crew = { ...newEntry(), isOpen: false };
  writeCrew(dataFolder, crew);
  return crew;
}

/** Returns once it is on the disk. */
export function writeCrew(dataFolder: string, crew: Crew): void {
  writeSecret(join(dataFolder, FILE), JSON.stringify(crew));
}

/** Writes a file that only its owner may read, whole or not at all. Returns once it is on the disk. */
export function writeSecret(path: string, text: string): void {
  // with a PostgreSQL server, two of ours may use one folder
  const written = `${path}-${randomUUID()}`;
  mkdirSync(dirname(path), { recursive: true });
  const file = openSync(written, 'w', OWNER_ONLY);
  try {
    writeSync(file, text);
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameSync(written, path);
  force(dirname(path));
}

function parse(text: string): Crew | null {
  try {
    const { code, key, isOpen } = JSON.parse(text) as Partial<Crew>;
    const isKey = typeof key === 'string' && key.length === 2 * KEY_BYTES;
    return typeof code === 'string' && code !== '' && isKey ? { code, key, isOpen: isOpen === true } : null;
  } catch {
    return null;
  }
}

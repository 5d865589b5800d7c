import { availableParallelism, homedir } from 'node:os';
import { join, resolve } from 'node:path';
import { RESERVED_BYTES } from './database/freeSpace.js';
import { PLACES } from './places.js';

/** Injection token of the `Config`. */
export const CONFIG = Symbol('config');

/** Configuration of the server, from environment variables. */
export interface Config {
  readonly port: number;
  /** Address to listen at; null for this machine alone, until a person opens the server to the network */
  readonly host: string | null;
  /** Certificate for the network as PEM files; null for one that is made */
  readonly certificate: { readonly certFile: string; readonly keyFile: string } | null;
  /** Folder of PGlite's files; unused with `databaseUrl` */
  readonly dataFolder: string;
  /** PostgreSQL server to use instead of PGlite */
  readonly databaseUrl: string | null;
  /** Adds the demo production to an empty database */
  readonly seedsDemo: boolean;
  /** Whether backups are made without being asked for */
  readonly backsUp: boolean;
  /** Threads beside the server's own; without any, it computes everything itself */
  readonly threads: number;
  /** Space that changes leave free on the disk of the data */
  readonly minFreeBytes: number;
  /** Folder of the built page; null to serve only the API */
  readonly pageFolder: string | null;
}

/** One computes while the other makes a backup, also on a machine with one core. */
const MIN_THREADS = 2;
const MAX_THREADS = 4;

const NEEDED = {
  HOST: 'an address of this machine such as 0.0.0.0',
  PORT: 'a whole number from 0 to 65535',
  DATABASE_URL: 'the address of a PostgreSQL server',
  STILL_HERON_DATA: 'a folder',
  STILL_HERON_CERTIFICATE: 'a PEM file with a certificate',
  STILL_HERON_CERTIFICATE_KEY: 'a PEM file with the key of the certificate',
} as const;

/** @throws {Error} for an invalid port, a value that is empty, or a certificate without its key */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  // an empty value is a mistake, which must not open the server to everyone
  for (const [name, need] of Object.entries(NEEDED))
    if (env[name]?.trim() === '') throw new Error(`${name}: it is empty; need ${need}, or leave it out`);
  const port = Number(env['PORT'] ?? 4870);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT: got ${env['PORT']}, need a whole number from 0 to 65535`);
  return {
    port,
    host: env['HOST'] ?? null,
    certificate: readCertificateFiles(env),
    dataFolder: resolve(env['STILL_HERON_DATA'] ?? join(homedir(), '.still-heron')),
    databaseUrl: env['DATABASE_URL'] ?? null,
    seedsDemo: env['STILL_HERON_SEED'] === 'demo',
    backsUp: env['STILL_HERON_BACKUPS'] !== 'off',
    threads: Math.max(MIN_THREADS, Math.min(MAX_THREADS, availableParallelism())),
    minFreeBytes: RESERVED_BYTES,
    pageFolder: PLACES.page,
  };
}

function readCertificateFiles(env: NodeJS.ProcessEnv): Config['certificate'] {
  const [certFile, keyFile] = [env['STILL_HERON_CERTIFICATE'], env['STILL_HERON_CERTIFICATE_KEY']];
  if (certFile === undefined && keyFile === undefined) return null;
  if (certFile === undefined || keyFile === undefined)
    throw new Error('STILL_HERON_CERTIFICATE and STILL_HERON_CERTIFICATE_KEY: only one is set; need both, or neither');
  return { certFile: resolve(certFile), keyFile: resolve(keyFile) };
}

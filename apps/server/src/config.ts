import { homedir } from 'node:os';
import { join, resolve } from 'node:path';

/** What the environment says of this server. */
export interface Config {
  readonly port: number;
  /** Only this machine unless told otherwise */
  readonly host: string;
  /** Where PGlite keeps its files; unused with `databaseUrl` */
  readonly dataFolder: string;
  /** A PostgreSQL server in place of PGlite */
  readonly databaseUrl: string | null;
  /** Put the demo production into an empty database */
  readonly seedsDemo: boolean;
  /** The built page; null to serve the API alone */
  readonly pageFolder: string | null;
}

/** @throws {Error} for a port that is none */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const port = Number(env['PORT'] ?? 4870);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT: got ${env['PORT']}, need a whole number from 0 to 65535`);
  return {
    port,
    host: env['HOST'] ?? '127.0.0.1',
    dataFolder: resolve(env['STILL_HERON_DATA'] ?? join(homedir(), '.still-heron')),
    databaseUrl: env['DATABASE_URL'] ?? null,
    seedsDemo: env['STILL_HERON_SEED'] === 'demo',
    pageFolder: resolve(import.meta.dirname, '../../web/dist'),
  };
}

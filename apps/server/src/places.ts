import { resolve } from 'node:path';

/** The server's own folder. Sources, compiled files and the bundle are each one level below it. */
const SERVER = resolve(import.meta.dirname, '..');

/** Files that the server reads beside its code. */
export const PLACES = {
  package: resolve(SERVER, 'package.json'),
  migrations: resolve(SERVER, 'migrations'),
  /** An empty database with all migrations, made at build; missing in a folder that was never built */
  emptyStore: resolve(SERVER, 'bundle/emptyStore'),
  page: resolve(SERVER, '../web/dist'),
  /** What a thread of the pool runs */
  thread: resolve(import.meta.dirname, 'thread.js'),
} as const;

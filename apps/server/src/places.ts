import { resolve } from 'node:path';

/** The server's own folder. Sources, compiled files and the bundle are each one level below it. */
const SERVER = resolve(import.meta.dirname, '..');

/** Files that the server reads beside its code. */
export const PLACES = {
  package: resolve(SERVER, 'package.json'),
  migrations: resolve(SERVER, 'migrations'),
  /** A database without tables, made at build; missing in a folder that was never built */
  newStore: resolve(SERVER, 'bundle/newStore'),
  page: resolve(SERVER, '../web/dist'),
  /** What a thread of the pool runs */
  thread: resolve(import.meta.dirname, 'thread.js'),
} as const;

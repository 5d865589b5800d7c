import { join } from 'node:path';
import { main, ROOT, start } from './run.mjs';
import { build, install } from './setup.mjs';

/** Serves the user's own productions, from ~/.still-heron unless STILL_HERON_DATA is set. */
await main(() => {
  install();
  build();
  start(process.execPath, [join(ROOT, 'apps/server/bundle/main.js')]).on('exit', (code) => (process.exitCode = code ?? 0));
});

import { join } from 'node:path';
import { installed, main, node, ROOT, start, TSC } from './run.mjs';
import { install } from './setup.mjs';

/** Runs the compiler in watch mode, the server with restart, and Vite with a proxy to the server. */
await main(() => {
  install();
  node('The compiler', [TSC, '-b', 'apps/server']);
  start(process.execPath, [TSC, '-b', '-w', '--preserveWatchOutput', 'apps/server']);
  start(process.execPath, ['--watch', join(ROOT, 'apps/server/dist/main.js')], {
    env: { STILL_HERON_DATA: join(ROOT, '.data/dev'), STILL_HERON_SEED: 'demo' },
  });
  start(process.execPath, [installed('vite/bin/vite.js', 'apps/web')], { cwd: join(ROOT, 'apps/web') });
});

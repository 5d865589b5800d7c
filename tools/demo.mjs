import { join } from 'node:path';
import { main, ROOT, start } from './run.mjs';
import { build, install } from './setup.mjs';

/** Installs, builds, and serves the demo production from its own data folder. */
await main(() => {
  install();
  build();
  console.log('Starting with the demo production …');
  start(process.execPath, [join(ROOT, 'apps/server/bundle/main.js')], {
    env: { STILL_HERON_DATA: join(ROOT, '.data/demo'), STILL_HERON_SEED: 'demo' },
  }).on('exit', (code) => (process.exitCode = code ?? 0));
});

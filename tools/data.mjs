import { join } from 'node:path';
import { main, node, ROOT } from './run.mjs';
import { build, install } from './setup.mjs';

/** Makes or restores a backup of the data in ~/.still-heron, or in STILL_HERON_DATA. */
await main(() => {
  install();
  build();
  node('This', [join(ROOT, 'apps/server/bundle/data.js'), ...process.argv.slice(2)]);
});

import { main } from './run.mjs';
import { build, install } from './setup.mjs';

await main(() => {
  install();
  build({ force: true });
});

import { main, node } from './run.mjs';
import { build, install, installChromium } from './setup.mjs';

/** One current picture of each main view, from the demo production, into docs/screenshots. */
await main(() => {
  install();
  installChromium();
  build();
  node('The screenshots', ['bench/screenshots.mjs']);
});

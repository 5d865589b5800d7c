import { main, node } from './run.mjs';
import { build, install, installChromium } from './setup.mjs';

/** Makes one current picture of each main view, from the demo production, in docs/screenshots. */
await main(() => {
  install();
  installChromium();
  build();
  node('The screenshots', ['benchmarks/screenshots.mjs']);
});

import { main, node } from './run.mjs';
import { build, install, installChromium } from './setup.mjs';

await main(() => {
  install();
  installChromium();
  build();
  node('The benchmarks', ['benchmarks/run.mjs']);
});

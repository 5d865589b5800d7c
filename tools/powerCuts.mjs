import { installed, main, node } from './run.mjs';
import { install } from './setup.mjs';

/** Cuts the power of three hundred simulated disks, and opens what is left on them. */
await main(() => {
  install();
  node(
    'The power cuts',
    [
      '--experimental-vm-modules',
      '--no-warnings',
      installed('jest/bin/jest.js'),
      '--selectProjects',
      'server',
      '--testPathPatterns',
      'test/powerCut',
    ],
    { env: { STILL_HERON_CUTS: '300' } },
  );
});

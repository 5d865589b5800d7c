import { join } from 'node:path';
import { installed, main, node, ROOT } from './run.mjs';
import { install } from './setup.mjs';

/** Simulates two hundred crews, and draws what was predicted for them against what happened into docs/algorithms. */
await main(() => {
  install();
  node(
    'The calibration',
    [
      '--experimental-vm-modules',
      '--no-warnings',
      installed('jest/bin/jest.js'),
      '--selectProjects',
      'core',
      '--testPathPatterns',
      'test/calibration',
    ],
    { env: { STILL_HERON_CALIBRATION: join(ROOT, 'docs/algorithms') } },
  );
});

import { installed, main, node } from './run.mjs';
import { install } from './setup.mjs';

/** Unit tests of core, wording, page and tools. With `--thorough`, property tests try ten times as many cases. */
await main(() => {
  install();
  const isThorough = process.argv.includes('--thorough');
  node(
    'Unit tests',
    [
      ...['--experimental-vm-modules', '--no-warnings', installed('jest/bin/jest.js'), '--maxWorkers=2', '--silent'],
      ...['--selectProjects', 'core', 'wording', 'page', 'components', 'house', ...(isThorough ? ['server'] : [])],
    ],
    { env: isThorough ? { STILL_HERON_CASES: '10' } : {} },
  );
});

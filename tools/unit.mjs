import { SIMULATIONS } from './check.mjs';
import { installed, main, node } from './run.mjs';
import { install, keepTestsInMemory } from './setup.mjs';

/**
 * Unit tests of core, wording and page, without the long simulations and the tests of the tools; property tests try half as many cases as in
 * `npm test`. With `--thorough`, all of them, and ten times as many cases.
 */
await main(() => {
  install();
  keepTestsInMemory();
  const isThorough = process.argv.includes('--thorough');
  node(
    'Unit tests',
    [
      ...['--experimental-vm-modules', '--no-warnings', installed('jest/bin/jest.js'), '--maxWorkers=2', '--silent'],
      ...['--selectProjects', 'core', 'wording', 'page', 'components', ...(isThorough ? ['house', 'server'] : [])],
      ...(isThorough ? [] : ['--testPathIgnorePatterns', SIMULATIONS]),
    ],
    { env: { STILL_HERON_CASES: isThorough ? '10' : '0.5' } },
  );
});

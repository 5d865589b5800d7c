import { installed, main, node } from './run.mjs';
import { install } from './setup.mjs';

/** Documents are tried this many times as often as in `npm test`: some tens of thousands. A number after the command changes it. */
const TIMES = 200;

/**
 * Documents at and around every limit, through every function of the core that takes them, and requests to every route of the server. Each
 * fault says the number that makes it again.
 */
await main(() => {
  install();
  const times = process.argv[2] ?? String(TIMES);
  const jest = [installed('jest/bin/jest.js'), '--selectProjects', 'core', 'server', '--testTimeout', '7200000', 'test/fuzz'];
  node('Fuzzing', ['--experimental-vm-modules', '--no-warnings', ...jest], { env: { STILL_HERON_CASES: times }, quiet: false });
});

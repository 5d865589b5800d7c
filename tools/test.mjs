import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { attemptLanes, circleArguments, TYPE_PROJECTS } from './check.mjs';
import { lineShare } from './lineShare.mjs';
import { installed, main, node, ROOT, StepFailed, TSC } from './run.mjs';
import { build, install, installChromium, keepTestsInMemory } from './setup.mjs';

const RULES = [installed('eslint/bin/eslint.js'), '-c', 'eslint.typed.config.mjs'];

/** What reads the code without running it, in lanes that run at once: name and arguments for Node. */
const LANES = [
  [
    ['rules of the page', [...RULES, 'apps/web']],
    ['circles', [installed('dependency-cruiser/bin/dependency-cruise.mjs'), ...circleArguments()]],
  ],
  [
    ['rules of everything else', [...RULES, '.', '--ignore-pattern', 'apps/web/']],
    ['format', [installed('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']],
  ],
  TYPE_PROJECTS.map((project) => [`types of ${project}`, [TSC, '-p', join(ROOT, project)]]),
];

/**
 * Installs, builds, checks and tests everything from a fresh clone. Then prints the number of tests and the share of test
 * lines.
 */
await main(async () => {
  const startedMs = Date.now();
  install();
  installChromium();
  build();
  keepTestsInMemory();
  const results = join(tmpdir(), `still-heron-jest-${process.pid}.json`);
  const failures = [];
  const attempt = (what, act) => {
    console.log(`\n— ${what}`);
    try {
      act();
    } catch (error) {
      if (!(error instanceof StepFailed)) throw error;
      failures.push(`${what}: ${error.message}`);
    }
  };
  console.log('\n— types, rules, circles and format');
  failures.push(...(await attemptLanes(LANES)));
  attempt('core, server and page in Jest', () => {
    node(
      'Jest',
      [
        '--experimental-vm-modules',
        '--no-warnings',
        installed('jest/bin/jest.js'),
        '--maxWorkers=2',
        '--forceExit',
        '--json',
        `--outputFile=${results}`,
        '--silent',
      ],
      { quiet: false },
    );
  });
  attempt('the page in Chromium', () =>
    node('Playwright', [installed('@playwright/test/cli.js', 'e2e'), 'test', '--config', 'e2e/playwright.config.ts']),
  );

  const counts = readResults(results);
  rmSync(results, { force: true });
  report(counts, startedMs);
  for (const failure of failures) console.error(failure);
  console.log(`${counts.passed} passed, ${counts.failed} failed`);
  if (failures.length > 0) throw new StepFailed('Not everything passed.');
});

/** Counts of unit tests and of stories in the page. */
function readResults(jestFile) {
  const jest = readCounts(jestFile, ({ numPassedTests, numFailedTests }) => [numPassedTests, numFailedTests, 0]);
  const page = readCounts(join(ROOT, 'test-results/e2e.json'), ({ stats }) => [
    stats.expected + stats.flaky,
    stats.unexpected,
    stats.flaky,
  ]);
  return { passed: jest[0] + page[0], failed: jest[1] + page[1], flaky: page[2] };
}

function report({ flaky }, startedMs) {
  const { testLines, allLines, percent } = lineShare(ROOT);
  console.log(`\nTests are ${testLines} of ${allLines} lines of code: ${percent.toFixed(1)} %.`);
  console.log(`Took ${Math.round((Date.now() - startedMs) / 1000)} s.`);
  if (flaky > 0) console.log(`${flaky} of the page's tests passed at the second try only.`);
}

function readCounts(path, pick) {
  try {
    return pick(JSON.parse(readFileSync(path, 'utf8')));
  } catch {
    return [0, 0, 0];
  }
}

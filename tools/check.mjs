import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { installed, main, ROOT, StepFailed, TSC } from './run.mjs';
import { install } from './setup.mjs';

/** Projects whose types are checked without being built. */
export const TYPE_PROJECTS = [
  'packages/core/tsconfig.test.json',
  'packages/wording/tsconfig.test.json',
  'apps/server/tsconfig.test.json',
  'apps/web',
  'e2e',
];

/** Simulations of whole crews, and takes walked through in plain code: they take half a minute. */
export const SIMULATIONS = 'core/test/(crews|slowTrials|calibration)';

/** What reads the code without running it, in two lanes side by side: name and arguments for Node. */
const LANES = [
  [
    ['types', [TSC, '-b', 'apps/server']],
    ...TYPE_PROJECTS.map((project) => [`types of ${project}`, [TSC, '-p', join(ROOT, project)]]),
  ],
  [
    ['words that are gone', [join(ROOT, 'tools/words.mjs')]],
    ['circles', [installed('dependency-cruiser/bin/dependency-cruise.mjs'), ...circleArguments()]],
    ['rules', [installed('eslint/bin/eslint.js'), '.', '--cache', '--cache-location', 'node_modules/.cache/check/eslint/']],
    [
      'format',
      [
        ...[installed('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'],
        ...['--cache', '--cache-location', 'node_modules/.cache/check/prettier'],
      ],
    ],
  ],
];

/** Arguments of dependency-cruiser to look for circles in all files. */
export function circleArguments(...folders) {
  return ['--config', join(ROOT, 'tools/dependencies.mjs'), ...(folders.length > 0 ? folders : ['packages', 'apps', 'e2e'])];
}

/**
 * Tests that a change since the last commit touches, on both cores. Almost every test reads the core, so after a change there the
 * long simulations are left to `npm test`, as are the server and the tools while nothing of theirs has changed.
 */
const CHANGED = [
  'tests of changed files',
  [
    ...['--experimental-vm-modules', '--no-warnings', installed('jest/bin/jest.js')],
    ...['--onlyChanged', '--passWithNoTests', '--silent', '--maxWorkers=2', '--testPathIgnorePatterns', SIMULATIONS],
    ...['--selectProjects', 'core', 'wording', 'page', 'components', ...changedProjects()],
  ],
];

/** Jest's projects of which a file has changed since the last commit, of those that start a server or read the whole house. */
function changedProjects() {
  const { stdout } = spawnSync('git', ['status', '--porcelain'], { cwd: ROOT, encoding: 'utf8' });
  const projects = { server: /^...(apps\/server|packages\/contract)\//m, house: /^...tools\//m };
  return Object.keys(projects).filter((name) => projects[name].test(stdout));
}

/** Runs a step. Resolves to its output if it fails, else to null; prints its name and time. */
async function attempt([name, args]) {
  const startedMs = Date.now();
  const child = spawn(process.execPath, args, {
    cwd: ROOT,
    env: { STILL_HERON_CASES: '0.25', ...process.env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let output = '';
  for (const stream of [child.stdout, child.stderr]) stream.setEncoding('utf8').on('data', (text) => (output += text));
  const code = await new Promise((ended) => child.once('exit', ended));
  console.log(`${code === 0 ? 'ok   ' : 'FAILS'} ${name}, ${((Date.now() - startedMs) / 1000).toFixed(1)} s`);
  return code === 0 ? null : `${name}:\n${output}`;
}

/** Runs lanes of steps side by side. Resolves to the outputs of those that fail. */
export async function attemptLanes(lanes) {
  const outputs = await Promise.all(
    lanes.map(async (steps) => {
      const failed = [];
      for (const step of steps) failed.push(await attempt(step));
      return failed;
    }),
  );
  return outputs.flat().filter(Boolean);
}

if (process.argv[1] === join(ROOT, 'tools/check.mjs'))
  await main(async () => {
    const startedMs = Date.now();
    install();
    const outputs = [...(await attemptLanes(LANES)), ...(await attemptLanes([[CHANGED]]))];
    console.log(`Took ${Math.round((Date.now() - startedMs) / 1000)} s.`);
    if (outputs.length > 0) throw new StepFailed(outputs.join('\n'));
  });

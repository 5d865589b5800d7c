import { spawn } from 'node:child_process';
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

const JEST = ['--experimental-vm-modules', '--no-warnings', installed('jest/bin/jest.js')];

/** What `npm run check` runs, in two lanes side by side: name and arguments for Node. */
const LANES = [
  [
    ['types', [TSC, '-b', 'apps/server']],
    ...TYPE_PROJECTS.map((project) => [`types of ${project}`, [TSC, '-p', join(ROOT, project)]]),
    ['unit tests of changed files', [...JEST, '--onlyChanged', '--passWithNoTests', '--silent', '--maxWorkers=1']],
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

/** Runs a step. Resolves to its output if it fails, else to null; prints its name and time. */
async function attempt([name, args]) {
  const startedMs = Date.now();
  const child = spawn(process.execPath, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
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
    const outputs = await attemptLanes(LANES);
    console.log(`Took ${Math.round((Date.now() - startedMs) / 1000)} s.`);
    if (outputs.length > 0) throw new StepFailed(outputs.join('\n'));
  });

import { execFileSync } from 'node:child_process';
import { cpSync, existsSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { main, node, ROOT, run, StepFailed } from './run.mjs';

const ROUNDS = 3;
const USAGE = 'npm run bench:paired -- <commit before> <commit after> <benchmarks …>, such as: … HEAD~5 HEAD hand verdict';

/**
 * Compares two commits by benchmarks that run in turn, before and after, several times. Both run the benchmarks of this folder. Prints each
 * figure with the ratio, and writes them into `benchmarks/paired.md`, which `npm run bench` takes into `docs/benchmarks.md`.
 */
await main(() => {
  const [before, after, ...names] = process.argv.slice(2);
  if (names.length === 0) throw new StepFailed(USAGE);
  const commits = [before, after].map((name) => git('rev-parse', '--short', `${name}^{commit}`));
  const folders = commits.map((commit, which) => made(commit, join(tmpdir(), `still-heron-paired-${process.pid}-${which}`)));
  try {
    const rounds = Array.from({ length: ROUNDS }, (_, round) => {
      console.log(`Round ${round + 1} of ${ROUNDS} …`);
      return folders.map((folder) => resultsOf(folder, names));
    });
    const text = page(commits, rounds);
    console.log(text);
    writeFileSync(join(ROOT, 'benchmarks/paired.md'), text);
  } finally {
    for (const folder of folders) {
      rmSync(folder, { recursive: true, force: true });
      git('worktree', 'prune');
    }
  }
});

function git(...args) {
  return execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' }).trim();
}

/** A commit in a folder of its own, built. */
function made(commit, folder) {
  console.log(`Building ${commit} …`);
  git('worktree', 'add', '--force', '--detach', folder, commit);
  run('npm ci', 'npm', ['ci', '--ignore-scripts', '--no-fund', '--no-audit', '--loglevel=error'], { cwd: folder });
  node('The build', [join(folder, 'tools/build.mjs')], { cwd: folder, quiet: true });
  cpSync(join(ROOT, 'benchmarks'), join(folder, 'benchmarks'), {
    recursive: true,
    filter: (path) => !path.includes('node_modules'),
  });
  if (!existsSync(join(folder, 'apps/web/dist/index.html'))) throw new StepFailed(`${commit} was not built.`);
  return folder;
}

function resultsOf(folder, names) {
  return JSON.parse(execFileSync(process.execPath, ['benchmarks/some.mjs', ...names], { cwd: folder, encoding: 'utf8' }));
}

/** The round whose result is in the middle. */
function middleOf(results) {
  return [...results].sort((a, b) => a.shareOfAim - b.shareOfAim)[Math.floor(results.length / 2)];
}

/** Figures of the middle round of each commit. A result is better the smaller its share of the aim. */
function page(commits, rounds) {
  const rows = rounds[0][0].map(({ aim }, index) => {
    const [was, is] = [0, 1].map((which) => middleOf(rounds.map((round) => round[which][index])));
    const times = was.shareOfAim / is.shareOfAim;
    return `| ${is.what} | ${was.figure} | ${is.figure} | ${times.toFixed(2)} × | ${aim} |`;
  });
  return [
    '## Before and after',
    '',
    `${commits[0]} against ${commits[1]}, ${ROUNDS} rounds in turn on ${new Date().toISOString().slice(0, 10)}; the middle one of each. The ratio says how many times better the later one is.`,
    '',
    `| what | ${commits[0]} | ${commits[1]} | better | aim |`,
    '| --- | --- | --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}

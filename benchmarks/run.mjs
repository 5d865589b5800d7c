import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { BENCHES, runBenches } from './list.mjs';
import { startServer } from './server.mjs';

/** Written by `npm run bench:paired`. */
const PAIRED = 'benchmarks/paired.md';

/**
 * Runs every benchmark, prints one line each (figure, aim, whether it holds), and writes `docs/benchmarks.md`. Ends with 1 if an
 * aim is missed by more than a half.
 */
const server = await startServer();
try {
  const results = await runBenches(Object.keys(BENCHES), server.address);
  for (const { what, figure, aim, shareOfAim } of results)
    console.log(`${verdictOf(shareOfAim)}  ${what}: ${figure} (aim: ${aim})`);
  writeFileSync('docs/benchmarks.md', page(results));
  if (results.some(({ shareOfAim }) => verdictOf(shareOfAim) === 'FAILS')) process.exitCode = 1;
} finally {
  await server.stop();
}

/** Machines are noisy: only an aim that is missed by more than a half fails the run. */
function verdictOf(shareOfAim) {
  if (shareOfAim <= 1) return 'holds';
  return shareOfAim <= 1.5 ? 'misses' : 'FAILS';
}

/** All results as `docs/benchmarks.md`. */
function page(results) {
  const rows = results.map(({ what, figure, aim, shareOfAim }) => `| ${what} | ${figure} | ${aim} | ${verdictOf(shareOfAim)} |`);
  const machine = `${cpus().length} cores, ${cpus()[0].model}, Node ${process.versions.node}`;
  return [
    '# Benchmarks',
    '',
    `Written by \`npm run bench\` on ${new Date().toISOString().slice(0, 10)} (${machine}). Machines differ: compare figures of one run only.`,
    '',
    '| what | figure | aim | |',
    '| --- | --- | --- | --- |',
    ...rows,
    '',
    ...(existsSync(PAIRED) ? [readFileSync(PAIRED, 'utf8')] : []),
  ].join('\n');
}

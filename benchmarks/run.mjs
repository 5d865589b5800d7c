import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { fileURLToPath } from 'node:url';
import { benchCues } from './cues.mjs';
import { benchEvaluate } from './evaluate.mjs';
import { benchFloor } from './floor.mjs';
import { benchForced } from './forced.mjs';
import { benchHand } from './hand.mjs';
import { benchKit, benchTable } from './kit.mjs';
import { benchKeepRate } from './keepRate.mjs';
import { benchOptimiser } from './optimiser.mjs';
import { benchPage } from './page.mjs';
import { benchSave, startServer } from './server.mjs';
import { benchStop } from './stop.mjs';
import { benchTakes } from './takes.mjs';
import { benchVerdict } from './verdict.mjs';

/**
 * Runs every benchmark, prints one line each (figure, aim, whether it holds), and writes `docs/benchmarks.md`. Ends with 1 if an
 * aim is missed by more than a half.
 */
const server = await startServer();
try {
  const results = [
    ...benchEvaluate(),
    await benchOptimiser(),
    benchKeepRate(),
    benchVerdict(),
    ...alone('largest.mjs'),
    benchTable(),
    await benchSave(server.address),
    await benchForced(),
    ...(await benchPage(server.address)),
    ...(await benchHand(server.address)),
    ...(await benchFloor(server.address)),
    ...(await benchKit(server.address)),
    ...(await benchStop(server.address)),
    ...(await benchCues(server.address)),
    ...(await benchTakes()),
  ];
  for (const { what, figure, aim, shareOfAim } of results)
    console.log(`${verdictOf(shareOfAim)}  ${what}: ${figure} (aim: ${aim})`);
  writeFileSync('docs/benchmarks.md', page(results));
  if (results.some(({ shareOfAim }) => verdictOf(shareOfAim) === 'FAILS')) process.exitCode = 1;
} finally {
  await server.stop();
}

/** Results of a benchmark that runs in a process of its own. */
function alone(file) {
  return JSON.parse(execFileSync(process.execPath, [fileURLToPath(new URL(file, import.meta.url))], { encoding: 'utf8' }));
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
  ].join('\n');
}

import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { summary } from './evaluate.mjs';
import { startServer } from './server.mjs';

const STARTS = 5;
/** Memory is read this long after the start. */
const REST_MS = 2000;

/** The start that seeds the demo production, later starts on the same folder, and the memory that each needs. */
export async function benchStart() {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-bench-'));
  try {
    const seeded = await started(folder, { STILL_HERON_SEED: 'demo' });
    const later = [];
    for (let start = 0; start < STARTS; start++) later.push(await started(folder));
    const startMs = summary(later.map(({ ms }) => ms)).median;
    const restMb = summary(later.map(({ restMb }) => restMb)).median;
    return [
      {
        what: 'second start of the server',
        figure: `${(startMs / 1000).toFixed(2)} s`,
        aim: 'under 1.5 s',
        shareOfAim: startMs / 1500,
      },
      { what: 'its memory at rest', figure: `${restMb.toFixed(0)} MB`, aim: 'under 300 MB', shareOfAim: restMb / 300 },
      {
        what: 'memory at rest after the first start, which seeds the demo production',
        figure: `${seeded.restMb.toFixed(0)} MB; ${seeded.mostMb.toFixed(0)} MB meanwhile, at most`,
        aim: 'under 300 MB',
        shareOfAim: seeded.restMb / 300,
      },
    ];
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function started(folder, env = {}) {
  const startedMs = performance.now();
  const { stop, processId } = await startServer({ ...env, STILL_HERON_DATA: folder });
  const ms = performance.now() - startedMs;
  await new Promise((done) => setTimeout(done, REST_MS));
  const memory = readMemory(processId);
  await stop();
  return { ms, ...memory };
}

/** Memory of a process in MB: now, and at most until now. Zero where the system does not tell. */
function readMemory(processId) {
  const path = `/proc/${processId}/status`;
  const status = existsSync(path) ? readFileSync(path, 'utf8') : '';
  const [restMb, mostMb] = ['VmRSS', 'VmHWM'].map(
    (name) => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1000,
  );
  return { restMb, mostMb };
}

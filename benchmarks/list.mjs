import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/**
 * Every benchmark by its name, in the order in which they run. Each gets the address of a server that runs for all. Each is loaded when it
 * runs: of an older commit, some have nothing to run.
 */
export const BENCHES = {
  evaluate: async (address) => (await import('./evaluate.mjs')).benchEvaluate(address),
  optimiser: async (address) => (await import('./optimiser.mjs')).benchOptimiser(address),
  keepRate: async (address) => (await import('./keepRate.mjs')).benchKeepRate(address),
  verdict: async (address) => (await import('./verdict.mjs')).benchVerdict(address),
  largest: () => alone('largest.mjs'),
  table: async (address) => (await import('./kit.mjs')).benchTable(address),
  save: async (address) => (await import('./server.mjs')).benchSave(address),
  forced: async (address) => (await import('./forced.mjs')).benchForced(address),
  start: async (address) => (await import('./starting.mjs')).benchStart(address),
  page: async (address) => (await import('./page.mjs')).benchPage(address),
  firstLoad: async (address) => (await import('./firstLoad.mjs')).benchFirstLoad(address),
  hand: async (address) => (await import('./hand.mjs')).benchHand(address),
  floor: async (address) => (await import('./floor.mjs')).benchFloor(address),
  kit: async (address) => (await import('./kit.mjs')).benchKit(address),
  shotList: async (address) => (await import('./shotList.mjs')).benchShotList(address),
  stop: async (address) => (await import('./stop.mjs')).benchStop(address),
  cues: async (address) => (await import('./cues.mjs')).benchCues(address),
  takes: async (address) => (await import('./takes.mjs')).benchTakes(address),
};

/** Runs benchmarks by name. @returns their results, in order */
export async function runBenches(names, address) {
  const results = [];
  for (const name of names) results.push(...[await BENCHES[name](address)].flat());
  return results;
}

/** Results of a benchmark that runs in a process of its own. */
function alone(file) {
  return JSON.parse(execFileSync(process.execPath, [fileURLToPath(new URL(file, import.meta.url))], { encoding: 'utf8' }));
}

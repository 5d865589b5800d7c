import { flattened } from './flatTakes.js';
import type { PreparedTakes } from './prepareTakes.js';
import { runLoop } from './takesLoop.js';

/** What came of some takes, as counts: those of several runs add up to that of all of them, in whatever order. */
export interface TakeCounts {
  readonly takes: number;
  readonly kept: number;
  /** By beat, in how many takes it is kept */
  readonly beatsKept: Int32Array;
  /** By frame, in how many takes everyone who must be sharp is */
  readonly sharp: Int32Array;
}

/**
 * Takes of a prepared plan, from one number on. Every take draws anew how far each person misses and how late they are, how each mark was measured, when each pull starts and where it lands.
 *
 * @param countOnly - leaves a take as soon as it is lost: then only `takes` and `kept` are counted
 */
export function runTakes(prepared: PreparedTakes, seed: number, firstTake: number, takes: number, countOnly = false): TakeCounts {
  const { kept, beatsKept, sharp } = runLoop(flattened(prepared), seed, firstTake, takes, countOnly);
  return { takes, kept, beatsKept, sharp };
}

/** Counts of several runs as one. */
export function mergedCounts(runs: readonly TakeCounts[]): TakeCounts {
  const sum = (of: (run: TakeCounts) => Int32Array) =>
    runs.map(of).reduce((total, values) => total.map((value, index) => value + values[index]!));
  return {
    takes: runs.reduce((total, { takes }) => total + takes, 0),
    kept: runs.reduce((total, { kept }) => total + kept, 0),
    beatsKept: sum(({ beatsKept }) => beatsKept),
    sharp: sum(({ sharp }) => sharp),
  };
}

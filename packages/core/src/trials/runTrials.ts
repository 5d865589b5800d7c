import { trialColumns } from './trialColumns.js';
import type { PreparedTrials } from './preparedTrials.js';
import { createTrialLoop, type TrialLoop, type TrialRange } from './trialLoop.js';

/** Counts from a run of trials. Counts of several runs add up, in any order. */
export interface TrialCounts {
  readonly takes: number;
  readonly kept: number;
  /** By beat, number of trials that keep it */
  readonly beatsKept: Int32Array;
  /** By frame, number of trials in which every required subject is sharp */
  readonly sharp: Int32Array;
  /** By number of kept takes, the number of whole set-ups of `TAKES_PER_SETUP` takes that keep that number */
  readonly setupsKept: Int32Array;
}

/** Compiled at the first run, and then kept: one loop is enough for a thread. */
let sharedLoop: TrialLoop | null = null;

/**
 * Runs trials of a prepared plan. Each trial draws subjects' misses and lateness, measurement errors, and start and landing of
 * each pull.
 *
 * @param countOnly - leaves a trial as soon as it is lost; only `takes` and `kept` are then valid
 */
export function runTrials(prepared: PreparedTrials, seed: number, trials: TrialRange, countOnly = false): TrialCounts {
  sharedLoop ??= createTrialLoop();
  const { kept, ...counts } = sharedLoop.run(trialColumns(prepared), seed, trials, countOnly);
  return { takes: trials.count, kept, ...counts };
}

/** Sum of the counts of several runs. */
export function mergeCounts(runs: readonly TrialCounts[]): TrialCounts {
  const sum = (of: (run: TrialCounts) => Int32Array) =>
    runs.map(of).reduce((total, values) => total.map((value, index) => value + values[index]!));
  return {
    takes: runs.reduce((total, { takes }) => total + takes, 0),
    kept: runs.reduce((total, { kept }) => total + kept, 0),
    beatsKept: sum(({ beatsKept }) => beatsKept),
    sharp: sum(({ sharp }) => sharp),
    setupsKept: sum(({ setupsKept }) => setupsKept),
  };
}

import {
  type DrawLayout,
  type ErrorSource,
  type PreparedTrials,
  prepareTrials,
  runTrials,
  type ShotPlan,
  type TrialCounts,
} from '@still-heron/core';

/** Input of trials: a plan, the plan whose draw layout it shares, and an error source to switch off. */
export interface TakesAsk {
  readonly plan: ShotPlan;
  readonly order: DrawLayout;
  readonly without: ErrorSource | null;
}

/** A part of the trials of a request. */
export interface TakesPart {
  /** Equal for equal requests, so that the preparation is reused */
  readonly key: string;
  readonly ask: TakesAsk;
  readonly seed: number;
  readonly firstTrial: number;
  readonly takes: number;
}

/** Counts of the trials; null for a plan that can't be evaluated. */
export type TakesAnswer = { readonly beats: PreparedTrials['beats']; readonly counts: TrialCounts } | null;

export interface TakeRunner {
  run(part: TakesPart): TakesAnswer | Promise<TakesAnswer>;
}

/** Size of the cache of prepared plans: as many as are compared at once. */
const MOST_KEPT = 40;

/** Runs trials in a worker, with a cache of prepared plans. */
export function createTakeRunner(): TakeRunner {
  const kept = new Map<string, ReturnType<typeof prepareTrials>>();
  const preparedFor = ({ key, ask: { plan, order, without } }: TakesPart) => {
    let prepared = kept.get(key);
    if (!prepared) {
      if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
      kept.set(key, (prepared = prepareTrials(plan, { order, without: without ?? undefined })));
    }
    return prepared;
  };
  return {
    run(part) {
      const prepared = preparedFor(part);
      if ('missing' in prepared) return null;
      // tables stay in the worker; the caller needs only times and subjects of beats
      const beats = prepared.beats.map((beat) => ({ ...beat, tables: [], tableAt: null }));
      return { beats, counts: runTrials(prepared, part.seed, part.firstTrial, part.takes) };
    },
  };
}

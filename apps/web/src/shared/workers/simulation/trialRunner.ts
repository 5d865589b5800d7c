import {
  type DrawLayout,
  type ErrorSource,
  type PreparedTrials,
  prepareTrials,
  runTrials,
  type ShotPlan,
  type TrialCounts,
  type Watching,
} from '@still-heron/core';

/** Input of trials: a plan, the plan whose draw layout it shares, and an error source to switch off. */
export interface TrialRequest {
  readonly plan: ShotPlan;
  readonly order: DrawLayout;
  readonly without: ErrorSource | null;
  /** What the puller looks at; nothing if absent */
  readonly watching?: Watching;
}

/** A part of the trials of a request. */
export interface TrialTask {
  /** Equal for equal requests, so that the preparation is reused */
  readonly key: string;
  readonly ask: TrialRequest;
  readonly seed: number;
  readonly firstTrial: number;
  readonly takes: number;
}

/** Counts of the trials; null for a plan that can't be evaluated. */
export type TrialAnswer = (Pick<PreparedTrials, 'beats' | 'ideal'> & { readonly counts: TrialCounts }) | null;

export interface TrialRunner {
  run(part: TrialTask): TrialAnswer | Promise<TrialAnswer>;
}

/** Size of the cache of prepared plans: as many as are compared at once. */
const MAX_CACHED = 40;

/** Runs trials in a worker, with a cache of prepared plans. */
export function createTrialRunner(): TrialRunner {
  const kept = new Map<string, ReturnType<typeof prepareTrials>>();
  const preparedFor = ({ key, ask: { plan, order, without, watching } }: TrialTask) => {
    let prepared = kept.get(key);
    if (!prepared) {
      if (kept.size >= MAX_CACHED) kept.delete(kept.keys().next().value!);
      kept.set(key, (prepared = prepareTrials(plan, { order, without: without ?? undefined, watching })));
    }
    return prepared;
  };
  return {
    run(part) {
      const prepared = preparedFor(part);
      if ('missing' in prepared) return null;
      // tables stay in the worker; the caller needs only times and subjects of beats
      const beats = prepared.beats.map((beat) => ({ ...beat, zone: null, noticeZone: null }));
      return {
        beats,
        ideal: prepared.ideal,
        counts: runTrials(prepared, part.seed, { first: part.firstTrial, count: part.takes }),
      };
    },
  };
}

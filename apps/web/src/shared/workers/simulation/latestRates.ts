import { createLatest, type Latest } from '../latest';
import type { TrialPool, TrialProgress } from './trialPool';
import type { TrialRequest } from './trialRunner';

/** Trials to run, and the key with which their results come back. */
export interface RateQuestion<K> {
  readonly key: K;
  readonly asks: readonly TrialRequest[];
}

export interface RateOptions {
  readonly takes: number;
  readonly seed: number;
  readonly rank: number;
  /** Runs all trials before the next request, then pauses, so that the visible work has priority */
  readonly isPaced?: boolean;
  /** Told until the first results are there: how many requests have one */
  readonly onFirst?: (known: number, total: number) => void;
}

/** Newest trial results of something that keeps changing. A question without requests runs nothing. */
export function createLatestRates<K>(
  poolOf: () => TrialPool,
  { takes, seed, rank, isPaced = false, onFirst }: RateOptions,
): Latest<RateQuestion<K>, TrialProgress> {
  return createLatest<RateQuestion<K>, TrialProgress>({
    pace: isPaced ? 'done' : 'first-result',
    start({ asks }, report) {
      if (asks.length === 0) {
        report(undefined, true);
        return () => undefined;
      }
      const onProgress = (progress: TrialProgress) => report(progress, progress.isDone);
      return poolOf().draw({ asks, takes, seed, rank, onProgress, ...(onFirst && { onFirst }) }).cancel;
    },
  });
}

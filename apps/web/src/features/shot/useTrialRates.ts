import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { createLatestRates, type RateOptions } from '../../shared/workers/simulation/latestRates';
import type { TrialProgress } from '../../shared/workers/simulation/trialPool';
import type { TrialRequest } from '../../shared/workers/simulation/trialRunner';
import { SEED, TAKES } from '../../shared/workers/simulation/defaults';
import { trialPool } from '../../shared/workers/simulation/workers';

/**
 * Results of trials as far as known. While the input changes, the previous results remain.
 *
 * @param of - key of the input; returned with the results
 * @param asks - a new list starts new trials; an empty one starts none
 */
export function useTrialRates<K>(
  of: K,
  asks: readonly TrialRequest[],
  { takes = TAKES, seed = SEED, rank, onFirst }: Partial<RateOptions> & Pick<RateOptions, 'rank'>,
): { readonly known: { readonly key: K; readonly progress: TrialProgress } | null; readonly settle: () => void } {
  const [rates] = useState(() => createLatestRates<K>(trialPool, { takes, seed, rank, ...(onFirst && { onFirst }) }));
  useEffect(() => () => rates.forget(), [rates]);
  useEffect(() => {
    rates.ask({ key: of, asks });
    // the key changes together with the requests
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rates, asks]);
  const answer = useSyncExternalStore(rates.subscribe, rates.latest);
  const known = useMemo(() => answer && { key: answer.key.key, progress: answer.result }, [answer]);
  return { known, settle: rates.settle };
}

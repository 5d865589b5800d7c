import { useEffect, useState, useSyncExternalStore } from 'react';
import { type AskerOptions, createLatestRates } from '../../shared/workers/simulation/latestRates';
import type { TrialProgress } from '../../shared/workers/simulation/trialPool';
import type { TrialRequest } from '../../shared/workers/simulation/trialRunner';
import { SEED, TAKES } from '../../shared/workers/simulation/defaults';
import { trialPool } from '../../shared/workers/simulation/workers';

/** Priorities of trials. */
export const RANKS = { sweep: 1, helps: 2, methods: 3 } as const;

/**
 * Results of trials as far as known. While the input changes, the previous results remain.
 *
 * @param of - key of the input; returned with the results
 * @param asks - a new list starts new trials; an empty one starts none
 */
export function useTrialRates<K>(
  of: K,
  asks: readonly TrialRequest[],
  { takes = TAKES, seed = SEED, rank }: Partial<AskerOptions> & Pick<AskerOptions, 'rank'>,
): { readonly known: { readonly key: K; readonly progress: TrialProgress } | null; readonly settle: () => void } {
  const [asker] = useState(() => createLatestRates<K>(trialPool, { takes, seed, rank }));
  useEffect(() => () => asker.stop(), [asker]);
  useEffect(() => {
    asker.ask(of, asks);
    // what they are of changes with them
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asker, asks]);
  return { known: useSyncExternalStore(asker.subscribe, asker.latest), settle: asker.settle };
}

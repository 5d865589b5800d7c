import { useEffect, useState, useSyncExternalStore } from 'react';
import { type AskerOptions, createChanceAsker } from '../../workers/takes/chances';
import type { TakesProgress } from '../../workers/takes/takePool';
import type { TakesAsk } from '../../workers/takes/takeRunner';
import { SEED, TAKES } from '../../workers/takes/usual';
import { takePool } from '../../workers/takes/workers';

/** Priorities of trials. */
export const RANKS = { sweep: 1, helps: 2, methods: 3 } as const;

/**
 * Results of trials as far as known. While the input changes, the previous results remain.
 *
 * @param of - key of the input; returned with the results
 * @param asks - a new list starts new trials; an empty one starts none
 */
export function useChances<K>(
  of: K,
  asks: readonly TakesAsk[],
  { takes = TAKES, seed = SEED, rank }: Partial<AskerOptions> & Pick<AskerOptions, 'rank'>,
): { readonly known: { readonly key: K; readonly progress: TakesProgress } | null; readonly settle: () => void } {
  const [asker] = useState(() => createChanceAsker<K>(takePool, { takes, seed, rank }));
  useEffect(() => () => asker.stop(), [asker]);
  useEffect(() => {
    asker.ask(of, asks);
    // what they are of changes with them
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asker, asks]);
  return { known: useSyncExternalStore(asker.subscribe, asker.latest), settle: asker.settle };
}

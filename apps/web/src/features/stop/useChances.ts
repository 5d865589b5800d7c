import { useEffect, useState, useSyncExternalStore } from 'react';
import { type AskerOptions, createChanceAsker } from '../../workers/takes/chances';
import type { TakesProgress } from '../../workers/takes/takePool';
import type { TakesAsk } from '../../workers/takes/takeRunner';
import { SEED, TAKES } from '../../workers/takes/usual';
import { takePool } from '../../workers/takes/workers';

/** Whose takes are drawn first. */
export const RANKS = { sweep: 1, helps: 2, methods: 3 } as const;

/**
 * What becomes of takes of something, as far as it is known: while it changes, of what it was a moment ago.
 *
 * @param of - what the asks are of: it comes back with what is known
 * @param asks - drawn anew when the list is another; none while there is nothing to ask
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

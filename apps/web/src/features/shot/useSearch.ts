import type { ShotPlan } from '@still-heron/core';
import { useCallback, useState } from 'react';

/** A search over variants of a plan: how far it is, and whether it was given up. */
export interface Search {
  /** null before the first is tried */
  readonly tried: { readonly count: number; readonly total: number } | null;
  readonly isGivenUp: boolean;
  readonly giveUp: () => void;
  readonly tryAgain: () => void;
}

interface RunningSearch extends Search {
  /** To be called as a search starts */
  readonly onStart: () => void;
  /** To be called with how far it is */
  readonly onTried: (count: number, total: number) => void;
}

/** State of a search for one plan; another plan is another search. `onStart` and `onTried` keep their identity. */
export function useSearch(plan: ShotPlan): RunningSearch {
  const [tried, setTried] = useState<Search['tried']>(null);
  const [givenUp, setGivenUp] = useState<ShotPlan | null>(null);
  const onStart = useCallback(() => setTried(null), []);
  const onTried = useCallback((count: number, total: number) => setTried({ count, total }), []);
  return {
    tried,
    isGivenUp: givenUp === plan,
    giveUp: () => setGivenUp(plan),
    tryAgain: () => setGivenUp(null),
    onStart,
    onTried,
  };
}

import type { ShotPlan } from '@still-heron/core';
import { useEffect, useState } from 'react';

/**
 * Computes something from the plan once editing pauses; until then it returns the previous result.
 *
 * @param plan - null: nothing is to be computed, and what runs is of no interest any more
 * @param work - must keep its identity between renders
 * @returns null before the first result
 */
export function useAfterPause<T>(
  plan: ShotPlan | null,
  work: (plan: ShotPlan) => Promise<T>,
  pauseMs: number,
): { readonly of: ShotPlan; readonly found: T } | null {
  const [known, setKnown] = useState<{ readonly of: ShotPlan; readonly found: T } | null>(null);
  const isKnown = known?.of === plan;
  useEffect(() => {
    // after an undo the plan is one that is known already
    if (plan === null || isKnown) return undefined;
    let isCurrent = true;
    const timer = setTimeout(() => {
      void work(plan).then((found) => isCurrent && setKnown({ of: plan, found }));
    }, pauseMs);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [plan, isKnown, work, pauseMs]);
  return known;
}

import type { ShotPlan } from '@still-heron/core';
import { useEffect, useState } from 'react';

/**
 * What is worked out of the plan once no hand is at it any more; meanwhile of the plan it was worked out of last.
 *
 * @param work - a function that stays the same
 * @returns null until something is known
 */
export function useQuietly<T>(
  plan: ShotPlan,
  work: (plan: ShotPlan) => Promise<T>,
  quietMs: number,
): { readonly of: ShotPlan; readonly found: T } | null {
  const [known, setKnown] = useState<{ readonly of: ShotPlan; readonly found: T } | null>(null);
  useEffect(() => {
    let isCurrent = true;
    const timer = setTimeout(() => {
      void work(plan).then((found) => isCurrent && setKnown({ of: plan, found }));
    }, quietMs);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [plan, work, quietMs]);
  return known;
}

import { drawLayoutOf, type ShotPlan } from '@still-heron/core';
import { useMemo } from 'react';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from './useTrialRates';

/** Trials per plan: enough to see a difference of one in a hundred, since all draw the same errors. */
const TRIALS = 600;

/** Keep rates of changed plans, compared with the plan that they change. */
export interface ComparedRates<K> {
  /** Key of the input that they belong to */
  readonly key: K;
  readonly before: number;
  /** By changed plan; null if it can't be evaluated */
  readonly rates: readonly (number | null)[];
  readonly isDone: boolean;
}

/**
 * Draws the takes of a plan and of changed ones with the same errors. While the input changes, the previous results remain.
 *
 * @param changed - a new list starts new trials; an empty one starts none
 * @returns null before the first result
 */
export function useComparedRates<K>(key: K, plan: ShotPlan | null, changed: readonly ShotPlan[]): ComparedRates<K> | null {
  const asks = useMemo(() => {
    if (!plan || changed.length === 0) return [];
    const order = drawLayoutOf(plan);
    return [plan, ...changed].map((tried) => ({ plan: tried, order, without: null }));
  }, [plan, changed]);
  const { known } = useTrialRates(key, asks, { takes: TRIALS, rank: RANKS.fixes });
  const [before, ...rates] = known?.progress.rates ?? [];
  if (!known || !before) return null;
  return {
    key: known.key,
    before: before.keepRate,
    rates: rates.map((rate) => rate?.keepRate ?? null),
    isDone: known.progress.isDone,
  };
}

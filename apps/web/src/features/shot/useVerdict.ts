import type { PullVerdict, ShotPlan } from '@still-heron/core';
import { useMemo, useSyncExternalStore } from 'react';
import { useAppSelector } from '../../shared/store/hooks';
import { evaluator } from '../../shared/workers/evaluator';
import { selectPlan } from './shotSlice';

/** A verdict with its plan; they are always shown together. */
export interface PlanVerdict {
  readonly plan: ShotPlan;
  readonly verdict: PullVerdict;
}

/** Newest verdict of the open shot with its plan. During a drag it may be that of an earlier step. Null before the first. */
export function useVerdict(): PlanVerdict | null {
  const answer = useSyncExternalStore(evaluator.subscribe, evaluator.latest);
  const isOpen = useAppSelector((state) => selectPlan(state) !== null);
  return useMemo(() => (isOpen && answer ? { plan: answer.key, verdict: answer.result } : null), [isOpen, answer]);
}

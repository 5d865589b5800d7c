import { useSyncExternalStore } from 'react';
import { useAppSelector } from '../../app/store';
import { evaluator } from '../../shared/workers/evaluator';
import type { PlanVerdict } from '../../shared/workers/latestWins';
import { selectPlan } from './shotSlice';

/** Newest verdict of the open shot with its plan, at most one frame behind during a drag. Null before the first. */
export function useVerdict(): PlanVerdict | null {
  const judged = useSyncExternalStore(evaluator.subscribe, evaluator.latest);
  const isOpen = useAppSelector((state) => selectPlan(state) !== null);
  return isOpen ? judged : null;
}

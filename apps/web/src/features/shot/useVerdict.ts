import { useSyncExternalStore } from 'react';
import { useAppSelector } from '../../app/store';
import { evaluator } from '../../workers/evaluator';
import type { JudgedPlan } from '../../workers/latestWins';
import { selectPlan } from './shotSlice';

/** The newest verdict of the open shot with the plan it judges; during a drag at most a frame behind the plan. Null until the first one. */
export function useVerdict(): JudgedPlan | null {
  const judged = useSyncExternalStore(evaluator.subscribe, evaluator.latest);
  const isOpen = useAppSelector((state) => selectPlan(state) !== null);
  return isOpen ? judged : null;
}

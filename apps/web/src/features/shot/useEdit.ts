import type { ShotPlan } from '@still-heron/core';
import { useAppDispatch } from '../../shared/store/hooks';
import { editPlan } from './shotSlice';

/** Edits the plan of the open shot as a named undo step. */
export function useEdit() {
  const dispatch = useAppDispatch();
  return (name: string, edit: (plan: ShotPlan) => ShotPlan, gesture?: string) => dispatch(editPlan(name, edit, gesture));
}

import { PLAN_LIMITS } from './planLimits.js';
import type { ShotPlan } from './shotPlan.js';

/** Lists of a plan that a person fills one by one. */
export type PlanList = 'subjects' | 'marks' | 'beats' | 'pulls';

const LIMITS: Readonly<Record<PlanList, number>> = {
  subjects: PLAN_LIMITS.subjects.max,
  marks: PLAN_LIMITS.marks.max,
  beats: PLAN_LIMITS.beats.max,
  pulls: PLAN_LIMITS.moves.max,
};

/** The first of the lists that takes no more, with its limit; null if each has room. */
export function fullList(plan: ShotPlan, lists: readonly PlanList[]): { readonly list: PlanList; readonly max: number } | null {
  const count = { subjects: plan.subjects, marks: plan.marks, beats: plan.beats, pulls: plan.focusTrack.pulls };
  const list = lists.find((one) => count[one].length >= LIMITS[one]);
  return list === undefined ? null : { list, max: LIMITS[list] };
}

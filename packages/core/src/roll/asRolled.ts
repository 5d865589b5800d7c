import { methodAt, methodsOf, type ShotPlan } from '../plan/index.js';

/** The plan as the ring is turned by it: nobody makes pulls that start where focus is left to autofocus. */
export function asRolled(plan: ShotPlan): ShotPlan {
  if (!methodsOf(plan).includes('automatic')) return plan;
  const pulls = plan.focusTrack.pulls.filter(({ startS }) => methodAt(plan, startS) !== 'automatic');
  return { ...plan, focusTrack: { ...plan.focusTrack, pulls } };
}

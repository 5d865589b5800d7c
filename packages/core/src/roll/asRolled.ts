import type { ShotPlan } from '../plan/index.js';

/** The plan as the ring is turned by it: of a shot that is left to autofocus nobody makes the pulls. */
export function asRolled(plan: ShotPlan): ShotPlan {
  return plan.method === 'automatic' ? { ...plan, focusTrack: { ...plan.focusTrack, pulls: [] } } : plan;
}

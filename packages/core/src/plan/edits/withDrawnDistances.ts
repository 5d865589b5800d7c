import { atDistance } from '../../floor/index.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';

/** Recomputes the distances of drawn marks from the floor plan, as a tape would read them. */
export function withDrawnDistances(plan: ShotPlan): ShotPlan {
  if (plan.floor === null || plan.marks.every(({ method }) => method !== 'drawn')) return plan;
  const { markSightings } = planDistances(plan);
  const marks = plan.marks.map((mark) => {
    const tapeMm = markSightings.get(mark.id)?.tapeMm;
    if (mark.method !== 'drawn' || tapeMm === undefined) return mark;
    const distanceMm = clamp(tapeMm, LIMITS.distanceMm.min, LIMITS.distanceMm.max);
    return mark.distanceMm === distanceMm ? mark : atDistance(mark, distanceMm);
  });
  return { ...plan, marks };
}

/** End of the last camera key or pan. The shot can't be shorter. */
export function floorEndS({ floor }: ShotPlan): number {
  return floor === null ? 0 : Math.max(...floor.camera.map(({ timeS }) => timeS), ...floor.aims.map(({ timeS }) => timeS));
}

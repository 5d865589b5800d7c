import type { FloorPlan, Place } from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';
import { redrawn } from './redrawn.js';

/** The plan with another drawing, and the distances that follow from it; one without a drawing stays as it is. */
export function withFloor(plan: ShotPlan, change: (floor: FloorPlan) => FloorPlan): ShotPlan {
  return plan.floor === null ? plan : redrawn({ ...plan, floor: change(plan.floor) });
}

export function inTime<T extends { readonly timeS: number }>(keys: readonly T[]): T[] {
  return [...keys].sort((a, b) => a.timeS - b.timeS);
}

/** As far out as a floor goes. */
function clampPlace(mm: number): number {
  return clamp(mm, LIMITS.placeMm.min, LIMITS.placeMm.max);
}

export function clampedPlace({ xMm, yMm }: Place): Place {
  return { xMm: clampPlace(xMm), yMm: clampPlace(yMm) };
}

import type { FloorPlan, Place } from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';
import { withDerivedDistances } from './withDerivedDistances.js';

/** Changes the floor plan and recomputes the distances that follow from it. A plan without a floor stays the same. */
export function withFloor(plan: ShotPlan, change: (floor: FloorPlan) => FloorPlan): ShotPlan {
  return plan.floor === null ? plan : withDerivedDistances({ ...plan, floor: change(plan.floor) });
}

export function inTime<T extends { readonly timeS: number }>(keys: readonly T[]): T[] {
  return [...keys].sort((a, b) => a.timeS - b.timeS);
}

/** Clamps a coordinate to the largest floor. */
function clampPlace(mm: number): number {
  return clamp(mm, LIMITS.placeMm.min, LIMITS.placeMm.max);
}

export function clampedPlace({ xMm, yMm }: Place): Place {
  return { xMm: clampPlace(xMm), yMm: clampPlace(yMm) };
}

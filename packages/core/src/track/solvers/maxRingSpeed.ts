import { wheelDegOf } from '../../kit/index.js';
import type { ShotPlan } from '../../plan/index.js';

/** Highest speed of the ring: limited by the puller and by the wheel's motor. */
export function maxRingDegPerS({ wheel, maxHandDegPerS }: Pick<ShotPlan, 'wheel' | 'maxHandDegPerS'>): number {
  return Math.min(maxHandDegPerS, wheel?.fastestDegPerS ?? Infinity) / Math.abs(wheelDegOf(wheel, 1));
}

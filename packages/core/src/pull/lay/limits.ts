import { wheelDegOf } from '../../kit/index.js';
import type { ShotPlan } from '../shotPlan.js';

/** Highest speed of the ring: limited by the puller and by the wheel's motor. */
export function mostRingDegPerS({ wheel, handDegPerS }: Pick<ShotPlan, 'wheel' | 'handDegPerS'>): number {
  return Math.min(handDegPerS, wheel?.fastestDegPerS ?? Infinity) / Math.abs(wheelDegOf(wheel, 1));
}

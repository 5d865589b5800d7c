import { wheelDegOf } from '../../kit/index.js';
import type { ShotPlan } from '../shotPlan.js';

/** How fast the ring turns at most: as whoever pulls is willing to turn what they hold, and as the wheel's motor can. */
export function mostRingDegPerS({ wheel, handDegPerS }: Pick<ShotPlan, 'wheel' | 'handDegPerS'>): number {
  return Math.min(handDegPerS, wheel?.fastestDegPerS ?? Infinity) / Math.abs(wheelDegOf(wheel, 1));
}

import type { Subject } from '../floor/index.js';
import { ringOf, wheelDegOf, withinReach } from '../kit/index.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';

/** What it takes to stay on someone at a time. */
export interface FollowSpeed {
  /** Of what the ring must be set to; negative for nearer */
  readonly mmPerS: number;
  /** Of the wheel, or of the ring without one; the way it turns is in the sign of `wheelDegOf` */
  readonly handDegPerS: number;
}

/** Speed is measured from so long before a time to so long after, within the shot. */
const AROUND_S = 0.1;

/**
 * How fast someone's distance changes, and how fast the hand must turn to follow, as far as the ring reaches.
 *
 * @param subject - with at least one stay
 * @returns null while they are at infinity, or on the way to or from it
 */
export function followSpeed(plan: ShotPlan, subject: Subject, timeS: number): FollowSpeed | null {
  const distances = planDistances(plan);
  const [fromS, toS] = [Math.max(timeS - AROUND_S, 0), Math.min(timeS + AROUND_S, plan.durationS)];
  const [fromMm, toMm] = [distances.focusMmAt(subject, fromS), distances.focusMmAt(subject, toS)];
  if (fromMm === Infinity || toMm === Infinity) return null;
  const ring = ringOf(plan.optics.lens);
  const ringDeg = ring.angleAt(withinReach(ring, toMm)) - ring.angleAt(withinReach(ring, fromMm));
  return { mmPerS: (toMm - fromMm) / (toS - fromS), handDegPerS: wheelDegOf(plan.wheel, ringDeg) / (toS - fromS) };
}

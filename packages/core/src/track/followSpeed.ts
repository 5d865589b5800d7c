import type { Subject } from '../floor/index.js';
import { ringOf, wheelDegOf, withinReach } from '../kit/index.js';
import { planDistances, type ShotPlan } from '../plan/index.js';

/** Speed needed to follow a subject at one time. */
export interface FollowSpeed {
  /** Change of focus distance; negative if the subject comes nearer */
  readonly mmPerS: number;
  /** Speed of the wheel, or of the ring without a wheel; signed like the ring angle */
  readonly maxHandDegPerS: number;
}

/** Half of the time span over which speed is measured. */
const MARGIN_S = 0.1;

/**
 * Change of a subject's distance, and the turning speed that follows it within the ring's range.
 *
 * @param subject - with at least one stay
 * @returns null while the subject is at infinity, or on the way to or from it
 */
export function followSpeed(plan: ShotPlan, subject: Subject, timeS: number): FollowSpeed | null {
  const distances = planDistances(plan);
  const [fromS, toS] = [Math.max(timeS - MARGIN_S, 0), Math.min(timeS + MARGIN_S, plan.durationS)];
  const [fromMm, toMm] = [distances.focusMmAt(subject, fromS), distances.focusMmAt(subject, toS)];
  if (fromMm === Infinity || toMm === Infinity) return null;
  const ring = ringOf(plan.optics.lens);
  const ringDeg = ring.angleAt(withinReach(ring, toMm)) - ring.angleAt(withinReach(ring, fromMm));
  return { mmPerS: (toMm - fromMm) / (toS - fromS), maxHandDegPerS: wheelDegOf(plan.wheel, ringDeg) / (toS - fromS) };
}

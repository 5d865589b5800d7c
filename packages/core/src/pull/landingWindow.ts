import { fNumberOf, type LensRing } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { withinReach } from './focusLine.js';
import { planCircleMm, type ShotPlan } from './shotPlan.js';

/** Where the ring may stand for a subject at a distance to be within the zone: lopsided, so both sides are kept. */
export interface LandingWindow {
  /** Ring angle of the zone's near limit less that of the distance */
  readonly nearSideDeg: number;
  /** Ring angle of the zone's far limit less that of the distance */
  readonly farSideDeg: number;
  /** Between the two limits, always positive */
  readonly widthDeg: number;
}

/**
 * The tolerance window of a mark: ring angles of the zone's near and far limits.
 *
 * @param distanceMm - tape distance within the ring's reach
 */
export function landingWindow(optics: ShotPlan['optics'], ring: LensRing, distanceMm: number): LandingWindow {
  const { lens, stop } = optics;
  const { nearMm, farMm } = depthOfField({
    focalLengthMm: lens.focalLengthMm,
    fNumber: fNumberOf(lens, stop),
    circleOfConfusionMm: planCircleMm(optics),
    focusDistanceMm: distanceMm,
    principalSeparationMm: lens.principalSeparationMm,
  });
  const atDeg = ring.angleAt(distanceMm);
  const nearSideDeg = ring.angleAt(withinReach(ring, nearMm)) - atDeg;
  const farSideDeg = ring.angleAt(withinReach(ring, farMm)) - atDeg;
  return { nearSideDeg, farSideDeg, widthDeg: Math.abs(nearSideDeg - farSideDeg) };
}

import { type LensRing, withinReach } from '../kit/index.js';
import { depthOfField, type ZoneLens } from '../optics/index.js';

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
 * @param lens - as it is set when the ring lands there
 * @param distanceMm - tape distance within the ring's reach
 */
export function landingWindow(lens: ZoneLens, ring: LensRing, distanceMm: number): LandingWindow {
  const { nearMm, farMm } = depthOfField({ ...lens, focusDistanceMm: distanceMm });
  const atDeg = ring.angleAt(distanceMm);
  const nearSideDeg = ring.angleAt(withinReach(ring, nearMm)) - atDeg;
  const farSideDeg = ring.angleAt(withinReach(ring, farMm)) - atDeg;
  return { nearSideDeg, farSideDeg, widthDeg: Math.abs(nearSideDeg - farSideDeg) };
}

import { type LensRing, withinReach } from '../kit/index.js';
import { type DepthOfField, depthOfField, type ZoneLens } from '../optics/index.js';

/**
 * Ring angles at which a subject is inside the zone, relative to its own angle. The window is lopsided, so both sides are kept.
 */
export interface LandingWindow {
  /** Ring angle of the near limit minus that of the distance */
  readonly nearSideDeg: number;
  /** Ring angle of the far limit minus that of the distance */
  readonly farSideDeg: number;
  /** Width between the two limits, always positive */
  readonly widthDeg: number;
}

/**
 * Tolerance window of a mark: ring angles of the zone's near and far limit.
 *
 * @param lens - optics at the landing
 * @param distanceMm - tape distance within the ring's range
 */
export function landingWindow(lens: ZoneLens, ring: LensRing, distanceMm: number): LandingWindow {
  return windowOfZone(depthOfField({ ...lens, focusDistanceMm: distanceMm }), ring, distanceMm);
}

/** `landingWindow` of a zone that is known. */
export function windowOfZone(
  { nearMm, farMm }: Pick<DepthOfField, 'nearMm' | 'farMm'>,
  ring: LensRing,
  distanceMm: number,
): LandingWindow {
  const atDeg = ring.angleAt(distanceMm);
  const nearSideDeg = ring.angleAt(withinReach(ring, nearMm)) - atDeg;
  const farSideDeg = ring.angleAt(withinReach(ring, farMm)) - atDeg;
  return { nearSideDeg, farSideDeg, widthDeg: Math.abs(nearSideDeg - farSideDeg) };
}

import type { Place } from '../floor/index.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';

/** What a tape from the image plane says to a spot. Straight lines, in mm. */
export interface SpotTape {
  /** To the floor itself */
  readonly floorMm: number;
  /** To a height above it, such as that of eyes */
  readonly aboveMm: number;
  /** Along the floor, from the spot under the lens */
  readonly alongMm: number;
}

/**
 * Distance from the lens to a spot on the floor. From a lens at eye height the floor is farther than the eyes of who stands on it: a mark that is
 * judged by the floor is judged too long.
 *
 * @param heightMm - height above the spot that is taped to as well
 * @returns null without a floor plan
 * @example a lens 1.60 m up and a spot 3 m away: 3.40 m to the floor, 3.00 m to eyes at 1.60 m
 */
export function spotTape(plan: ShotPlan, spot: Place, heightMm: number, timeS: number): SpotTape | null {
  const pose = planDistances(plan).cameraAt(timeS);
  if (pose === null) return null;
  const { xMm, yMm, heightMm: lensMm } = pose.camera;
  const alongMm = Math.hypot(spot.xMm - xMm, spot.yMm - yMm);
  return { alongMm, floorMm: Math.hypot(alongMm, lensMm), aboveMm: Math.hypot(alongMm, lensMm - heightMm) };
}

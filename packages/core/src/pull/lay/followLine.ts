import { PLAN_LIMITS } from '../planLimits.js';
import type { CoursePoint, ShotPlan } from '../shotPlan.js';
import type { Tube } from '../tube.js';
import type { Turning } from './holds.js';
import { type Corner, fewerCorners, tautString } from './tautString.js';
import { mostRingDegPerS } from './limits.js';
import { insetInReach } from './tubeRoom.js';

/** The track with the least turn inside the tube, as a course of the plan; a distance if it never turns. */
export function followLine({ plan, ring }: Turning, tube: Tube, roomShare: number): { plan: ShotPlan; holds: number } {
  const { lowDeg, highDeg } = insetInReach(tube, roomShare, mostRingDegPerS(plan) / plan.captureFps);
  const corners = fewerCorners(tautString(lowDeg, highDeg), lowDeg, highDeg).slice(0, PLAN_LIMITS.coursePoints.max);
  const distanceOf = (deg: number) => {
    const mm = ring.distanceAt(deg);
    return mm === Infinity ? null : mm;
  };
  if (corners.length === 1) {
    const start = { kind: 'distance' as const, distanceMm: distanceOf(corners[0]!.ringDeg) };
    return { plan: { ...plan, line: { start, moves: [] } }, holds: 1 };
  }
  const points = corners.map(({ frame, ringDeg }: Corner): CoursePoint => ({
    timeS: frame / plan.captureFps,
    distanceMm: distanceOf(ringDeg),
  }));
  return { plan: { ...plan, line: { start: { kind: 'course', points }, moves: [] } }, holds: points.length };
}

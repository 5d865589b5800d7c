import { type CoursePoint, PLAN_LIMITS, type ShotPlan, targetMm } from '../../plan/index.js';
import type { Tube } from '../tube.js';
import { keyFramesOf, type SolverContext } from './holds.js';
import { type Corner, fewerCorners, tautString } from './tautString.js';
import { maxRingDegPerS } from './maxRingSpeed.js';
import { insetWithinReach } from './tubeRoom.js';

/** The track with the least turn inside the tube, as a course of the plan; a distance if it never turns. */
export function followTrack({ plan, ring }: SolverContext, tube: Tube, roomShare: number): { plan: ShotPlan; holds: number } {
  const { lowDeg, highDeg } = insetWithinReach(
    tube,
    roomShare,
    maxRingDegPerS(plan) / plan.captureFps,
    keyFramesOf(plan, tube.required.length),
  );
  const corners = fewerCorners(tautString(lowDeg, highDeg), lowDeg, highDeg).slice(0, PLAN_LIMITS.coursePoints.max);
  const distanceOf = (deg: number) => targetMm(ring.distanceAt(deg));
  if (corners.length === 1) {
    const start = { kind: 'distance' as const, distanceMm: distanceOf(corners[0]!.ringDeg) };
    return { plan: { ...plan, focusTrack: { start, pulls: [] } }, holds: 1 };
  }
  const points = corners.map(({ frame, ringDeg }: Corner): CoursePoint => ({
    timeS: frame / plan.captureFps,
    distanceMm: distanceOf(ringDeg),
  }));
  return { plan: { ...plan, focusTrack: { start: { kind: 'course', points }, pulls: [] } }, holds: points.length };
}

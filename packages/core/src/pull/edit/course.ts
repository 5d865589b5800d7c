import { PLAN_LIMITS } from '../planLimits.js';
import type { CoursePoint, LineTarget, ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';

/** Minimum time between two points of a course. */
const APART_S = 0.02;

/**
 * Changes the time (between its neighbours) or distance of a course point.
 *
 * @param pullId - the pull that leads to the course; null for the start of the track
 */
export function changeCoursePoint(plan: ShotPlan, moveId: string | null, index: number, changes: Partial<CoursePoint>): ShotPlan {
  const changed = (target: LineTarget): LineTarget => {
    const was = target.kind === 'course' ? target.points[index] : undefined;
    if (target.kind !== 'course' || !was) return target;
    const lowS = index > 0 ? target.points[index - 1]!.timeS + APART_S : 0;
    const highS = (target.points[index + 1]?.timeS ?? plan.durationS + APART_S) - APART_S;
    const { min, max } = PLAN_LIMITS.distanceMm;
    const wanted = { ...was, ...changes };
    const point = {
      timeS: lowS > highS ? was.timeS : clamp(wanted.timeS, lowS, highS),
      distanceMm: wanted.distanceMm === null ? null : clamp(wanted.distanceMm, min, max),
    };
    return { ...target, points: target.points.map((other, at) => (at === index ? point : other)) };
  };
  const { start, moves } = plan.line;
  const line =
    moveId === null
      ? { start: start && changed(start), moves }
      : { start, moves: moves.map((move) => (move.id === moveId ? { ...move, target: changed(move.target) } : move)) };
  return { ...plan, line };
}

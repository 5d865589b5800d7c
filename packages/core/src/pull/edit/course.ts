import { PLAN_LIMITS } from '../planLimits.js';
import type { CoursePoint, LineTarget, ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';

/** Two points of a course are at least so far apart. */
const APART_S = 0.02;

/**
 * Moves a point of a course in time, between its neighbours, or to another distance.
 *
 * @param moveId - of the move that goes onto the course; null for the line's start
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

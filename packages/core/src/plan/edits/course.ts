import { PLAN_LIMITS } from '../planLimits.js';
import type { CoursePoint, FocusTarget, ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';

/** Minimum time between two points of a course. */
const MIN_GAP_S = 0.02;

/**
 * Changes the time (between its neighbours) or distance of a course point.
 *
 * @param pullId - the pull that leads to the course; null for the start of the track
 */
export function changeCoursePoint(plan: ShotPlan, pullId: string | null, index: number, changes: Partial<CoursePoint>): ShotPlan {
  const changed = (target: FocusTarget): FocusTarget => {
    const was = target.kind === 'course' ? target.points[index] : undefined;
    if (target.kind !== 'course' || !was) return target;
    const lowS = index > 0 ? target.points[index - 1]!.timeS + MIN_GAP_S : 0;
    const highS = (target.points[index + 1]?.timeS ?? plan.durationS + MIN_GAP_S) - MIN_GAP_S;
    const { min, max } = PLAN_LIMITS.distanceMm;
    const requested = { ...was, ...changes };
    const point = {
      timeS: lowS > highS ? was.timeS : clamp(requested.timeS, lowS, highS),
      distanceMm: requested.distanceMm === null ? null : clamp(requested.distanceMm, min, max),
    };
    return { ...target, points: target.points.map((other, at) => (at === index ? point : other)) };
  };
  const { start, pulls } = plan.focusTrack;
  const line =
    pullId === null
      ? { start: start && changed(start), pulls }
      : { start, pulls: pulls.map((pull) => (pull.id === pullId ? { ...pull, target: changed(pull.target) } : pull)) };
  return { ...plan, focusTrack: line };
}

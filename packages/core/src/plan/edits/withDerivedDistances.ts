import { atDistance, type Mark, nextAtMark, type Taping } from '../../floor/index.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';

/**
 * Recomputes the distances of drawn marks from the floor plan, as a tape would read them. A measured mark keeps its distance, and gets a
 * taping if it has none yet.
 */
export function withDrawnDistances(plan: ShotPlan): ShotPlan {
  if (plan.floor === null) return plan;
  const { markSightings } = planDistances(plan);
  const marks = plan.marks.map((mark) => {
    const tapeMm = markSightings.get(mark.id)?.tapeMm;
    if (mark.method !== 'drawn' || tapeMm === undefined) return withTaping(plan, mark);
    const distanceMm = clamp(tapeMm, LIMITS.distanceMm.min, LIMITS.distanceMm.max);
    return mark.distanceMm === distanceMm ? mark : atDistance(mark, distanceMm);
  });
  return marks.every((mark, index) => mark === plan.marks[index]) ? plan : { ...plan, marks };
}

/** A measured mark without a taping counts as taped now, from where the camera is when its subject first arrives. */
function withTaping(plan: ShotPlan, mark: Mark): Mark {
  if (mark.taping !== null || mark.method === 'drawn') return mark;
  const taping = tapingAt(plan, mark, nextAtMark(plan.subjects, mark, 0).atS);
  return taping ? { ...mark, taping } : mark;
}

/** What the drawing says now of a mark's distance from the camera's place at a time; null for a mark that is not drawn. */
export function tapingAt(plan: ShotPlan, { id, distanceMm }: Mark, timeS: number): Taping | null {
  const drawnMm = distanceMm === null ? null : planDistances(plan).drawnTapeAt(id, timeS);
  return drawnMm === null ? null : { timeS, drawnMm };
}

/** Marks of which the times of the tapings move with the shot's other times. */
export function withTapingTimes(marks: readonly Mark[], newTimeS: (timeS: number) => number): readonly Mark[] {
  return marks.map((mark) => ({ ...mark, taping: mark.taping && { ...mark.taping, timeS: newTimeS(mark.taping.timeS) } }));
}

/** End of the last camera key or pan. The shot can't be shorter. */
export function floorEndS({ floor }: ShotPlan): number {
  return floor === null ? 0 : Math.max(...floor.camera.map(({ timeS }) => timeS), ...floor.aims.map(({ timeS }) => timeS));
}

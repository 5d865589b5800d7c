import { atDistance, type Mark, nextAtMark, type Taping } from '../../floor/index.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import { isReadOff, markRead } from '../readings.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';

/**
 * Recomputes the distances that follow from something else: of drawn marks from the floor plan, as a tape would read them, and of marks that
 * were read off the ring. A measured mark keeps its distance, and gets a taping if it has none yet.
 */
export function withDerivedDistances(plan: ShotPlan): ShotPlan {
  const marks = plan.floor === null ? plan.marks : drawnMarks(plan);
  const read = marks.map((mark) => (isReadOff(mark) ? readMark(plan, mark) : mark));
  return read.every((mark, index) => mark === plan.marks[index]) ? plan : { ...plan, marks: read };
}

function drawnMarks(plan: ShotPlan): readonly Mark[] {
  const { markSightings } = planDistances(plan);
  return plan.marks.map((mark) => {
    const tapeMm = markSightings.get(mark.id)?.tapeMm;
    if (mark.method !== 'drawn' || tapeMm === undefined) return withTaping(plan, mark);
    const distanceMm = clamp(tapeMm, LIMITS.distanceMm.min, LIMITS.distanceMm.max);
    return mark.distanceMm === distanceMm ? mark : atDistance(mark, distanceMm);
  });
}

/**
 * A mark with the distance of its reading. The ring reads along the axis; off the axis a tape is longer. A reading past the last distance
 * that is told from infinity stands for infinity if nobody walks there, and else for that distance.
 */
function readMark(plan: ShotPlan, mark: Mark): Mark {
  const read = markRead(plan, mark);
  if (read === null) return mark;
  const sight = plan.floor && planDistances(plan).drawnSightAt(mark.id, mark.taping?.timeS ?? 0);
  const tapePerDepth = sight && sight.depthMm > 0 ? sight.tapeMm / sight.depthMm : 1;
  const { min, max } = LIMITS.distanceMm;
  const tapeMm = read.distanceMm * tapePerDepth;
  const distanceMm = tapeMm > max && !isWalkedTo(plan, mark) ? null : clamp(tapeMm, min, max);
  return mark.distanceMm === distanceMm ? mark : atDistance(mark, distanceMm);
}

function isWalkedTo({ subjects }: ShotPlan, { id }: Mark): boolean {
  return subjects.some(({ stays }) => stays.length > 1 && stays.some(({ markId }) => markId === id));
}

/** A measured mark without a taping counts as taped now, from where the camera is when its subject first arrives. */
function withTaping(plan: ShotPlan, mark: Mark): Mark {
  if (mark.taping !== null || mark.method === 'drawn') return mark;
  const taping = tapingAt(plan, mark, nextAtMark(plan.subjects, mark, 0).atS);
  return taping ? { ...mark, taping } : mark;
}

/** What the drawing says now of a mark's distance from the camera's place at a time; null for a mark that is not drawn. */
export function tapingAt(plan: ShotPlan, { id, distanceMm }: Mark, timeS: number): Taping | null {
  const sight = distanceMm === null ? null : planDistances(plan).drawnSightAt(id, timeS);
  return sight && { timeS, drawnMm: sight.tapeMm };
}

/** Marks of which the times of the tapings move with the shot's other times. */
export function withTapingTimes(marks: readonly Mark[], newTimeS: (timeS: number) => number): readonly Mark[] {
  return marks.map((mark) => ({ ...mark, taping: mark.taping && { ...mark.taping, timeS: newTimeS(mark.taping.timeS) } }));
}

/** End of the last camera key or pan. The shot can't be shorter. */
export function floorEndS({ floor }: ShotPlan): number {
  return floor === null ? 0 : Math.max(...floor.camera.map(({ timeS }) => timeS), ...floor.aims.map(({ timeS }) => timeS));
}

import type { Mark, StaleReason } from '../../floor/index.js';
import type { LineTarget, ShotPlan } from '../shotPlan.js';
import { withItem, without } from './ids.js';
import { redrawn } from './redrawn.js';

/** Measures a mark again, which makes its distance hold (one that was only drawn is then taped), or corrects what is said of it. */
export function changeMark(
  plan: ShotPlan,
  id: string,
  changes: Partial<Pick<Mark, 'distanceMm' | 'letter' | 'method' | 'note' | 'uncertaintyMm'>>,
): ShotPlan {
  return {
    ...plan,
    marks: withItem(plan.marks, id, (mark) => ({
      ...mark,
      ...changes,
      ...(changes.distanceMm === undefined
        ? {}
        : { stale: null, method: changes.method ?? (mark.method === 'drawn' ? 'tape' : mark.method) }),
    })),
  };
}

/** Says that distances are doubtful from now on. Infinity stays where it is. */
export function staleMarks(plan: ShotPlan, reason: StaleReason): ShotPlan {
  const marks = plan.marks.map((mark) => (mark.distanceMm === null ? mark : { ...mark, stale: reason }));
  return { ...plan, marks };
}

/** Says that a distance, or without an id every one, still holds: it was measured again and came out the same. */
export function marksHold(plan: ShotPlan, id?: string): ShotPlan {
  const marks = plan.marks.map((mark) => (mark.stale !== null && (id ?? mark.id) === mark.id ? { ...mark, stale: null } : mark));
  return { ...plan, marks };
}

/** Takes a mark away with the stays at it. Moves that went to it keep its distance. */
export function removeMark(plan: ShotPlan, id: string): ShotPlan {
  const mark = plan.marks.find((item) => item.id === id);
  if (!mark) return plan;
  const freed = freeTarget(plan, mark);
  return redrawn({
    ...freed,
    marks: without(freed.marks, id),
    subjects: freed.subjects.map((subject) => ({ ...subject, stays: subject.stays.filter((stay) => stay.markId !== id) })),
  });
}

/** Puts a mark's plain distance wherever the line goes to the mark. */
export function freeTarget(plan: ShotPlan, mark: Mark): ShotPlan {
  const free = (target: LineTarget): LineTarget =>
    target.kind === 'mark' && target.markId === mark.id ? { kind: 'distance', distanceMm: mark.distanceMm } : target;
  return {
    ...plan,
    line: {
      start: plan.line.start && free(plan.line.start),
      moves: plan.line.moves.map((move) => ({ ...move, target: free(move.target) })),
    },
  };
}

import { type Mark, measureSigmaMm, METHOD_UNCERTAINTY, PLAIN_MARK, type Place, type StaleReason } from '../../floor/index.js';
import type { ShotPlan } from '../shotPlan.js';
import { freeOfMark, freeOfSubject } from './targets.js';
import { clamp, nextId, nextLetter, withItem, without } from './ids.js';
import { clampedPlace } from './withFloor.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { redrawn } from './redrawn.js';

/** A mark that nobody has yet, taped at a distance. */
export function markFor(plan: ShotPlan, subjectId: string | null, distanceMm: number | null): Mark {
  return {
    ...PLAIN_MARK,
    id: nextId('mark', plan.marks),
    letter: nextLetter(plan.marks),
    subjectId,
    distanceMm: distanceMm === null ? null : clamp(distanceMm, PLAN_LIMITS.distanceMm.min, PLAN_LIMITS.distanceMm.max),
    method: 'tape',
    place: null,
    uncertaintyMm: METHOD_UNCERTAINTY.tape.atLeastMm,
  };
}

/** Measures a mark again, which makes its distance hold (one that was only drawn is then taped), or corrects what is said of it. */
export function changeMark(
  plan: ShotPlan,
  id: string,
  changes: Partial<Omit<Mark, 'id' | 'subjectId' | 'place' | 'stale'>>,
): ShotPlan {
  return { ...plan, marks: withItem(plan.marks, id, (mark) => changedMark(mark, changes)) };
}

function changedMark(mark: Mark, changes: Parameters<typeof changeMark>[2]): Mark {
  const changed = { ...mark, ...changes };
  if (changes.distanceMm !== undefined) {
    changed.stale = null;
    changed.isSimulated = changes.isSimulated ?? false;
    changed.method = changes.method ?? (mark.method === 'drawn' ? 'tape' : mark.method);
  }
  // measured another way, it is as good as that way is until it is said
  if (changed.method !== mark.method && changes.uncertaintyMm === undefined)
    changed.uncertaintyMm = measureSigmaMm(changed.method, changed.distanceMm ?? Infinity);
  return changed;
}

/** The mark as it is once it goes by a place on the floor; its distance follows from the drawing. */
export function drawnAt(mark: Mark, place: Place): Mark {
  const { atLeastMm: uncertaintyMm } = METHOD_UNCERTAINTY.drawn;
  return { ...mark, method: 'drawn', isSimulated: false, stale: null, uncertaintyMm, place: clampedPlace(place) };
}

/** A mark at a place on the floor where nobody stands yet: somewhere to wait, or to pass through. The same plan where it holds no more marks. */
export function addPlace(
  plan: ShotPlan,
  place: Place,
  subjectId: string | null,
): { readonly plan: ShotPlan; readonly markId: string } {
  const mark = drawnAt(markFor(plan, subjectId, 1000), place);
  const isFull = plan.marks.length >= PLAN_LIMITS.marks.max;
  return {
    plan: isFull ? plan : redrawn({ ...plan, marks: [...plan.marks, mark] }),
    markId: isFull ? plan.marks[plan.marks.length - 1]!.id : mark.id,
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
  // nobody can be followed who stands nowhere any more
  const lost = plan.subjects.filter(({ stays }) => stays.length > 0 && stays.every(({ markId }) => markId === id));
  const freed = lost.reduce((rest, subject) => freeOfSubject(rest, subject.id), freeOfMark(plan, id, mark.distanceMm));
  return redrawn({
    ...freed,
    marks: without(freed.marks, id),
    subjects: freed.subjects.map((subject) => ({ ...subject, stays: subject.stays.filter((stay) => stay.markId !== id) })),
  });
}

import { atDistance, DEFAULT_MARK, type Mark, measureSigmaMm, type Place, type StaleReason } from '../../floor/index.js';
import { MAX_HARD_STOPS } from '../hardStops.js';
import type { ShotPlan } from '../shotPlan.js';
import { RING_METHODS } from './readings.js';
import { detachFromMark, detachFromSubject } from './targets.js';
import { clamp, nextId, nextLetter, withItem, without } from './ids.js';
import { clampedPlace } from './withFloor.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { tapingAt, withDerivedDistances } from './withDerivedDistances.js';
import { isReadOff } from '../readings.js';
import { staleCause } from '../staleMarks.js';

/** A new mark with the next free letter, taped at a distance. */
export function markFor(plan: ShotPlan, subjectId: string | null, distanceMm: number | null): Mark {
  const { min, max } = PLAN_LIMITS.distanceMm;
  const tapedMm = distanceMm === null ? null : clamp(distanceMm, min, max);
  return {
    ...DEFAULT_MARK,
    id: nextId('mark', plan.marks),
    letter: nextLetter(plan.marks),
    subjectId,
    distanceMm: tapedMm,
    method: 'tape',
    place: null,
    uncertaintyMm: measureSigmaMm('tape', tapedMm ?? Infinity),
  };
}

/**
 * Changes a mark. A new distance counts as measured again: the mark is no longer stale, and a drawn mark becomes a taped one. A
 * third hard stop is not set: see `hasRoomForStop`.
 */
export function changeMark(
  plan: ShotPlan,
  id: string,
  changes: Partial<Omit<Mark, 'id' | 'subjectId' | 'place' | 'stale' | 'taping'>>,
): ShotPlan {
  const { hasHardStop: _, ...rest } = changes;
  const allowed = changes.hasHardStop === true && !hasRoomForStop(plan, id) ? rest : changes;
  return withDerivedDistances({ ...plan, marks: withItem(plan.marks, id, (mark) => changedMark(mark, allowed)) });
}

/** Whether a hard stop can be set at a mark: a wheel has two. */
export function hasRoomForStop({ marks }: Pick<ShotPlan, 'marks'>, id: string): boolean {
  return marks.filter((mark) => mark.hasHardStop && mark.id !== id).length < MAX_HARD_STOPS;
}

function changedMark(mark: Mark, changes: Parameters<typeof changeMark>[2]): Mark {
  const moved = changes.distanceMm === undefined ? mark : atDistance(mark, changes.distanceMm);
  const changed = { ...moved, ...changes };
  if (changes.distanceMm !== undefined) {
    changed.stale = null;
    changed.taping = null;
    changed.isSimulated = changes.isSimulated ?? false;
    // a distance that is typed is no longer the one that followed from the drawing or from the ring
    const isDerived = mark.method === 'drawn' || isReadOff(mark);
    changed.method = changes.method ?? (isDerived ? 'tape' : mark.method);
  }
  if (changed.method === 'drawn') changed.taping = null;
  // a new measuring method brings its own default uncertainty
  if (changed.method !== mark.method && changes.uncertaintyMm === undefined)
    changed.uncertaintyMm = measureSigmaMm(changed.method, changed.distanceMm ?? Infinity);
  return changed;
}

/** The mark moved to a place on the floor. Its distance then follows from the drawing. */
export function markDrawnAt(mark: Mark, place: Place): Mark {
  const uncertaintyMm = measureSigmaMm('drawn', mark.distanceMm ?? Infinity);
  return { ...mark, method: 'drawn', isSimulated: false, stale: null, taping: null, uncertaintyMm, place: clampedPlace(place) };
}

/** Adds a mark at a place where nobody stands yet. Returns the same plan if it is full. */
export function addPlace(
  plan: ShotPlan,
  place: Place,
  subjectId: string | null,
): { readonly plan: ShotPlan; readonly markId: string } {
  const mark = markDrawnAt(markFor(plan, subjectId, 1000), place);
  const isFull = plan.marks.length >= PLAN_LIMITS.marks.max;
  return {
    plan: isFull ? plan : withDerivedDistances({ ...plan, marks: [...plan.marks, mark] }),
    markId: isFull ? plan.marks[plan.marks.length - 1]!.id : mark.id,
  };
}

/**
 * Marks distances as stale. Infinity never becomes stale. Another lens leaves a tape to the image plane as it is: only what was read off the
 * ring is stale then, and what a hard stop was set at.
 *
 * @param readingsHold - the lens was only corrected: what was read off its barrel still holds
 */
export function makeStale(plan: ShotPlan, reason: StaleReason, readingsHold = false): ShotPlan {
  const isHit = ({ distanceMm, method, hasHardStop, reading }: Mark) =>
    distanceMm !== null &&
    (reason === 'camera' || (!(readingsHold && reading !== null) && (hasHardStop || RING_METHODS.includes(method))));
  return { ...plan, marks: plan.marks.map((mark) => (isHit(mark) ? { ...mark, stale: reason } : mark)) };
}

/** Stale distances, one by id or all of them, as valid again: measured with the same result, with camera and marks as they are drawn now. */
export function marksHold(plan: ShotPlan, id?: string): ShotPlan {
  const marks = plan.marks.map((mark) => {
    if ((id ?? mark.id) !== mark.id || staleCause(plan, mark) === null) return mark;
    // a distance that holds although the lens is another was not read off this lens
    const reading = mark.stale === 'lens' ? null : mark.reading;
    return { ...mark, stale: null, reading, taping: mark.taping && tapingAt(plan, mark, mark.taping.timeS) };
  });
  return { ...plan, marks };
}

/** Records from where a mark was taped: from the camera's place at a time of the shot, as it is drawn now. */
export function setTapedFrom(plan: ShotPlan, id: string, timeS: number): ShotPlan {
  const atS = clamp(timeS, 0, plan.durationS);
  const isMeasured = ({ method, taping }: Mark) => method !== 'drawn' && taping !== null;
  return {
    ...plan,
    marks: withItem(plan.marks, id, (mark) => (isMeasured(mark) ? { ...mark, taping: tapingAt(plan, mark, atS) } : mark)),
  };
}

/** Removes a mark with the stays at it. Pulls to it keep its distance. */
export function removeMark(plan: ShotPlan, id: string): ShotPlan {
  const mark = plan.marks.find((item) => item.id === id);
  if (!mark) return plan;
  // a subject without a place can't be followed
  const lost = plan.subjects.filter(({ stays }) => stays.length > 0 && stays.every(({ markId }) => markId === id));
  const freed = lost.reduce((rest, subject) => detachFromSubject(rest, subject.id), detachFromMark(plan, id));
  const lightReadings = plan.exposure.lightReadings.filter(({ at }) => at.kind === 'time' || at.markId !== id);
  return withDerivedDistances({
    ...freed,
    exposure: { ...freed.exposure, lightReadings },
    marks: without(freed.marks, id),
    subjects: freed.subjects.map((subject) => ({ ...subject, stays: subject.stays.filter((stay) => stay.markId !== id) })),
  });
}

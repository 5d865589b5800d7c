import { type FloorPlan, type Mark, type Place, STANDING_EYES_MM, type Stay } from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem } from './ids.js';
import { redrawn } from './redrawn.js';
import { drawnAt, markFor } from './marks.js';
import { addSubject } from './subjects.js';
import { clampedPlace, withFloor } from './withFloor.js';

/** Height of the lens on legs, at the eyes of someone standing: until it is said otherwise. */
const LENS_HEIGHT_MM = STANDING_EYES_MM;

/** People who are put on the floor by their taped distance stand so many degrees beside each other, so that they can be told apart; the depth is then 0.3 % short of the tape at most for the first three. */
const BESIDE_DEG = 4;

/** What a new walk takes until its times are set. */
const WALK_S = 2;

/**
 * Begins the plan from above: the camera looks along x, and everyone stands where the tape has them, beside each other. What is at infinity is not drawn.
 *
 * @returns the same plan when it has one
 */
export function startFloor(plan: ShotPlan): ShotPlan {
  if (plan.floor !== null) return plan;
  const floor: FloorPlan = {
    camera: [{ id: 'camera-1', timeS: 0, xMm: 0, yMm: 0, pace: 'eased' }],
    lensHeightMm: LENS_HEIGHT_MM,
    aims: [{ id: 'aim-1', timeS: 0, panS: 0, at: { kind: 'heading', deg: 0 } }],
    landmarks: [],
    picture: null,
  };
  const marks = plan.marks.map((mark): Mark => {
    if (mark.distanceMm === null) return mark;
    const index = Math.max(
      plan.subjects.findIndex(({ id }) => id === mark.subjectId),
      0,
    );
    const rad = ((index % 2 === 0 ? 1 : -1) * Math.ceil(index / 2) * BESIDE_DEG * Math.PI) / 180;
    return { ...mark, place: clampedPlace({ xMm: mark.distanceMm * Math.cos(rad), yMm: mark.distanceMm * Math.sin(rad) }) };
  });
  return redrawn({ ...plan, floor, marks });
}

/** Takes the plan from above away. Distances that were only drawn stay, as if judged by eye. */
export function clearFloor(plan: ShotPlan): ShotPlan {
  return {
    ...plan,
    floor: null,
    marks: plan.marks.map((mark) => ({
      ...mark,
      place: null,
      standInId: null,
      method: mark.method === 'drawn' ? 'eye' : mark.method,
    })),
  };
}

/** Puts a mark somewhere on the floor. What is taped there stays as taped; what is drawn is drawn anew. */
export function placeMark(plan: ShotPlan, markId: string, place: Place): ShotPlan {
  return redrawn({ ...plan, marks: withItem(plan.marks, markId, (mark) => ({ ...mark, place: clampedPlace(place) })) });
}

/** Goes by the drawing at a mark, whatever was taped there. */
export function goByDrawing(plan: ShotPlan, markId: string): ShotPlan {
  return redrawn({
    ...plan,
    marks: withItem(plan.marks, markId, (mark) =>
      mark.place === null ? mark : { ...drawnAt(mark, mark.place), distanceMm: LIMITS.distanceMm.min },
    ),
  });
}

/** Someone new, standing at a place on the floor. */
export function addSubjectAt(plan: ShotPlan, name: string, place: Place): ShotPlan {
  if (plan.subjects.length >= LIMITS.subjects.max || plan.marks.length >= LIMITS.marks.max) return plan;
  const added = addSubject(startFloor(plan), { name, distanceMm: 1000 });
  const mark = added.marks[added.marks.length - 1]!;
  return redrawn({
    ...added,
    marks: withItem(added.marks, mark.id, (item) => drawnAt(item, place)),
  });
}

/** Lets someone walk on to a place: they arrive at a time and stay, and leave where they were early enough for a walk. */
export function walkTo(plan: ShotPlan, subjectId: string, place: Place, atS: number): ShotPlan {
  const subject = plan.subjects.find(({ id }) => id === subjectId);
  if (!subject || subject.stays.length === 0 || plan.marks.length >= LIMITS.marks.max || subject.stays.length >= LIMITS.stays.max)
    return plan;
  const mark = drawnAt(markFor(plan, subjectId, 1000), place);
  const before = subject.stays[subject.stays.length - 1]!;
  const fromS = clamp(atS, before.fromS, plan.durationS);
  const untilS = Math.min(before.untilS, Math.max(before.fromS, fromS - WALK_S));
  const added: Stay = { id: nextId('stay', subject.stays), markId: mark.id, fromS, untilS: plan.durationS, pace: 'eased' };
  const stays = [...subject.stays.slice(0, -1), { ...before, untilS }, added];
  return redrawn({
    ...plan,
    marks: [...plan.marks, mark],
    subjects: withItem(plan.subjects, subjectId, (item) => ({ ...item, stays })),
  });
}

export function setLensHeight(plan: ShotPlan, heightMm: number): ShotPlan {
  return withFloor(plan, (floor) => ({ ...floor, lensHeightMm: clamp(heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max) }));
}

/** Of what is focused on, above the floor. */
export function setSubjectHeight(plan: ShotPlan, subjectId: string, heightMm: number): ShotPlan {
  const height = clamp(heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max);
  return redrawn({ ...plan, subjects: withItem(plan.subjects, subjectId, (subject) => ({ ...subject, heightMm: height })) });
}

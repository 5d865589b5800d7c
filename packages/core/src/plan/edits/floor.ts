import { type FloorPlan, headingDeg, type Mark, nextAtMark, type Place, STANDING_EYES_MM, type Stay } from '../../floor/index.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem } from './ids.js';
import { withDerivedDistances } from './withDerivedDistances.js';
import { markDrawnAt, markFor } from './marks.js';
import { addSubject } from './subjects.js';
import { clampedPlace, withFloor } from './withFloor.js';

/** Default lens height: eye height of a standing person. */
const LENS_HEIGHT_MM = STANDING_EYES_MM;

/** Least angle between subjects placed by tape distance. From four metres on they do not hide one another at it. */
const SPACING_DEG = 4;
/** Largest angle off the axis at which a subject is placed: beyond, the depth is too far from the tape distance. */
const WIDEST_DEG = 20;
/** Free way beside a body. */
const CLEAR_MM = 40;

/** Default duration of a new walk. */
const WALK_S = 2;

/**
 * Starts the floor plan: the camera looks along x, and subjects stand side by side at their tape distances. Marks at infinity
 * are not drawn.
 *
 * @returns the same plan if it has a floor already
 */
export function startFloor(plan: ShotPlan): ShotPlan {
  if (plan.floor !== null) return plan;
  const floor: FloorPlan = {
    camera: [{ id: 'camera-1', timeS: 0, xMm: 0, yMm: 0, pace: 'eased', heightMm: null, missSigmaMm: null }],
    lensHeightMm: LENS_HEIGHT_MM,
    aims: [{ id: 'aim-1', timeS: 0, panS: 0, at: { kind: 'heading', deg: 0, tiltDeg: null } }],
    landmarks: [],
    picture: null,
  };
  const angles = anglesApart(plan);
  const marks = plan.marks.map((mark): Mark => {
    if (mark.distanceMm === null) return mark;
    const rad = ((angles.get(mark.subjectId ?? '') ?? 0) * Math.PI) / 180;
    return { ...mark, place: clampedPlace({ xMm: mark.distanceMm * Math.cos(rad), yMm: mark.distanceMm * Math.sin(rad) }) };
  });
  return withDerivedDistances({ ...plan, floor, marks });
}

/** By subject id: angles off the axis, as small as they can be, at which nobody hides anybody. */
function anglesApart({ subjects, marks }: ShotPlan): ReadonlyMap<string, number> {
  const placed: { readonly id: string; readonly deg: number; readonly nearestMm: number; readonly halfMm: number }[] = [];
  for (const { id, widthMm } of subjects) {
    const distances = marks.filter(({ subjectId }) => subjectId === id).map(({ distanceMm }) => distanceMm ?? Infinity);
    const one = { id, nearestMm: Math.min(...distances), halfMm: widthMm / 2 };
    const isClear = (deg: number) =>
      placed.every((other) => {
        const nearer = one.nearestMm < other.nearestMm ? one : other;
        const needDeg = (Math.asin(Math.min((nearer.halfMm + CLEAR_MM) / nearer.nearestMm, 1)) * 180) / Math.PI;
        return Math.abs(deg - other.deg) >= Math.max(needDeg, SPACING_DEG);
      });
    // on the axis, else to one side and the other, farther and farther
    const choices = Array.from({ length: 2 * WIDEST_DEG + 1 }, (_, k) => Math.ceil(k / 2) * (k % 2 === 1 ? -1 : 1));
    const deg = placed.length === 0 ? 0 : (choices.find(isClear) ?? -Math.sign(placed.at(-1)!.deg || 1) * WIDEST_DEG);
    placed.push({ ...one, deg });
  }
  return new Map(placed.map(({ id, deg }) => [id, deg]));
}

/** Removes the floor plan. Distances that were only drawn become judged by eye. */
export function clearFloor(plan: ShotPlan): ShotPlan {
  return {
    ...plan,
    floor: null,
    marks: plan.marks.map((mark) => ({
      ...mark,
      place: null,
      taping: null,
      focusReferenceId: null,
      method: mark.method === 'drawn' ? 'eye' : mark.method,
    })),
  };
}

/** Places a mark on the floor. A taped distance stays; a drawn one is recomputed. */
export function placeMark(plan: ShotPlan, markId: string, place: Place): ShotPlan {
  return withDerivedDistances({
    ...plan,
    marks: withItem(plan.marks, markId, (mark) => ({ ...mark, place: clampedPlace(place) })),
  });
}

/** Replaces the taped distance of a mark by the drawn one. */
export function adoptDrawnDistance(plan: ShotPlan, markId: string): ShotPlan {
  return withDerivedDistances({
    ...plan,
    marks: withItem(plan.marks, markId, (mark) =>
      mark.place === null ? mark : { ...markDrawnAt(mark, mark.place), distanceMm: LIMITS.distanceMm.min },
    ),
  });
}

/** Shortest drawn distance of a mark: straight above or below the lens. 0 for a mark that is not drawn. */
export function minDrawnMm(plan: ShotPlan, mark: Mark): number {
  return Math.abs(heightAboveLens(plan, mark) ?? 0);
}

/**
 * Moves a mark in the drawing along its line from the camera, as it is when the subject arrives, until a tape would read a distance. A
 * measured mark keeps its distance.
 *
 * @param distanceMm - finite; less than `minDrawnMm` counts as that
 */
export function drawAtDistance(plan: ShotPlan, markId: string, distanceMm: number): ShotPlan {
  const mark = plan.marks.find(({ id }) => id === markId);
  const upMm = mark ? heightAboveLens(plan, mark) : null;
  if (!mark?.place || upMm === null) return plan;
  const { camera } = planDistances(plan).cameraAt(nextAtMark(plan.subjects, mark, 0).atS)!;
  const acrossMm = Math.max(Math.sqrt(Math.max(distanceMm ** 2 - upMm ** 2, 0)), 1);
  const rad = (headingDeg(camera, mark.place) * Math.PI) / 180;
  const place = clampedPlace({ xMm: camera.xMm + acrossMm * Math.cos(rad), yMm: camera.yMm + acrossMm * Math.sin(rad) });
  return withDerivedDistances({ ...plan, marks: withItem(plan.marks, markId, (item) => ({ ...item, place, taping: null })) });
}

/** Height of a mark's point of focus above the lens on arrival; null if it is not drawn. */
function heightAboveLens(plan: ShotPlan, mark: Mark): number | null {
  const { heightMm, atS } = nextAtMark(plan.subjects, mark, 0);
  const pose = planDistances(plan).cameraAt(atS);
  return pose === null || mark.place === null || mark.distanceMm === null ? null : heightMm - pose.camera.heightMm;
}

/** Adds a subject that stands at a place on the floor. @returns the same plan if it has no room for one */
export function addSubjectAt(plan: ShotPlan, name: string, place: Place): ShotPlan {
  const started = startFloor(plan);
  const added = addSubject(started, { name, distanceMm: 1000 });
  if (added === started) return plan;
  const mark = added.marks[added.marks.length - 1]!;
  return withDerivedDistances({
    ...added,
    marks: withItem(added.marks, mark.id, (item) => markDrawnAt(item, place)),
  });
}

/** Adds a walk to a place; an object stays where it is. The subject arrives at `atS` and stays, and leaves its previous mark early enough. */
export function walkTo(plan: ShotPlan, subjectId: string, place: Place, atS: number): ShotPlan {
  const subject = plan.subjects.find(({ id }) => id === subjectId);
  if (
    !subject ||
    subject.kind === 'object' ||
    subject.stays.length === 0 ||
    plan.marks.length >= LIMITS.marks.max ||
    subject.stays.length >= LIMITS.stays.max
  )
    return plan;
  const mark = markDrawnAt(markFor(plan, subjectId, 1000), place);
  const before = subject.stays[subject.stays.length - 1]!;
  const fromS = clamp(atS, before.fromS, plan.durationS);
  const untilS = Math.min(before.untilS, Math.max(before.fromS, fromS - WALK_S));
  const added: Stay = { id: nextId('stay', subject.stays), markId: mark.id, fromS, untilS: plan.durationS, pace: 'eased' };
  const stays = [...subject.stays.slice(0, -1), { ...before, untilS }, added];
  return withDerivedDistances({
    ...plan,
    marks: [...plan.marks, mark],
    subjects: withItem(plan.subjects, subjectId, (item) => ({ ...item, stays })),
  });
}

export function setLensHeight(plan: ShotPlan, heightMm: number): ShotPlan {
  return withFloor(plan, (floor) => ({ ...floor, lensHeightMm: clamp(heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max) }));
}

/** Sets the height of the point of focus above the floor. Who sits down or climbs is that much lower or higher as a whole. */
export function setSubjectHeight(plan: ShotPlan, subjectId: string, heightMm: number): ShotPlan {
  const height = clamp(heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max);
  return withDerivedDistances({
    ...plan,
    subjects: withItem(plan.subjects, subjectId, (subject) => ({
      ...subject,
      heightMm: height,
      tallMm: subject.tallMm && clamp(subject.tallMm + height - subject.heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max),
    })),
  });
}

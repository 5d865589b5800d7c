import { cameraPlaceAt, type Mark, type PathKey, type Place, type Subject } from '../../floor/index.js';
import {
  addRackTo,
  addSubjectAt,
  changeStay,
  type LineTarget,
  moveCameraTo,
  PLAN_LIMITS,
  planDistances,
  setLineStart,
  type ShotPlan,
  startFloor,
  walkTo,
} from '../../pull/index.js';
import type { LaidMove, StagingAt } from './staging.js';

/** Where someone new is put: at arm's length of most shots. */
export const USUAL_DISTANCE_MM = 3000;

/** The plan drawn, with whoever the move is for in it: someone new stands on the lens axis. */
export function withSomeone(plan: ShotPlan, { subjectId, atS }: StagingAt, distanceMm = USUAL_DISTANCE_MM): LaidMove {
  const drawn = startFloor(plan);
  const known = drawn.subjects.find(({ id, stays }) => id === subjectId && stays.length > 0);
  if (known && planDistances(drawn).sightAt(known, atS)) return { plan: drawn, subjectId: known.id };
  const count = drawn.subjects.length;
  const added = addSubjectAt(drawn, `Someone ${count + 1}`, aheadOf(drawn, atS, distanceMm));
  return { plan: added, subjectId: added.subjects[Math.min(count, added.subjects.length - 1)]!.id };
}

export function subjectOf({ plan, subjectId }: LaidMove): Subject {
  return plan.subjects.find(({ id }) => id === subjectId)!;
}

/** Their distance along the tape, and what the ring goes by, at a time. */
export function distancesAt(laid: LaidMove, timeS: number): { tapeMm: number; focusMm: number } {
  const distances = planDistances(laid.plan);
  const subject = subjectOf(laid);
  return { tapeMm: distances.sightAt(subject, timeS)?.tapeMm ?? NaN, focusMm: distances.focusMmAt(subject, timeS) };
}

export function placeOf(laid: LaidMove, timeS: number): Place {
  return planDistances(laid.plan).sightAt(subjectOf(laid), timeS)!.place;
}

export function cameraOf({ floor }: ShotPlan, timeS: number): Place {
  return cameraPlaceAt(floor!, timeS);
}

/** A place so far ahead of the camera along its axis, and so far to the left of it. */
export function aheadOf(plan: ShotPlan, timeS: number, aheadMm: number, leftMm = 0): Place {
  const camera = cameraOf(plan, timeS);
  const rad = (planDistances(plan).headingAt(timeS) * Math.PI) / 180;
  return {
    xMm: camera.xMm + aheadMm * Math.cos(rad) - leftMm * Math.sin(rad),
    yMm: camera.yMm + aheadMm * Math.sin(rad) + leftMm * Math.cos(rad),
  };
}

export function apartMm(a: Place, b: Place): number {
  return Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);
}

/** The place on the way from one to another that is so far from the first on the floor. */
export function towards(from: Place, to: Place, mm: number): Place {
  const share = mm / Math.max(apartMm(from, to), 1);
  return { xMm: from.xMm + (to.xMm - from.xMm) * share, yMm: from.yMm + (to.yMm - from.yMm) * share };
}

/** How far apart on the floor camera and eyes are when the tape between them reads so much. */
export function floorMm(plan: ShotPlan, subject: Subject, tapeMm: number): number {
  const upMm = subject.heightMm - plan.floor!.lensHeightMm;
  return Math.sqrt(Math.max(tapeMm ** 2 - upMm ** 2, 1));
}

/** Lets them walk from where they are to a place, in a time. */
export function walk(laid: LaidMove, to: Place, fromS: number, durationS: number): LaidMove {
  const before = subjectOf(laid).stays;
  const leaves = before[before.length - 1]!;
  const walked = walkTo(laid.plan, laid.subjectId, to, fromS + durationS);
  return { ...laid, plan: walked === laid.plan ? walked : changeStay(walked, laid.subjectId, leaves.id, { untilS: fromS }) };
}

/** Lets the camera go through places at times, after standing where it is at the first. */
export function cameraThrough(
  plan: ShotPlan,
  fromS: number,
  keys: readonly (Place & { readonly atS: number })[],
  pace: PathKey['pace'] = 'eased',
): ShotPlan {
  const standing = moveCameraTo(plan, cameraOf(plan, fromS), fromS);
  return keys.reduce((now, { atS, ...place }) => {
    const moved = moveCameraTo(now, place, atS);
    const camera = moved.floor!.camera.map((key) => (Math.abs(key.timeS - atS) < 0.02 ? { ...key, pace } : key));
    return { ...moved, floor: { ...moved.floor!, camera } };
  }, standing);
}

/** Sets focus from a time on: the whole line where nothing moves it yet, else a pull that lands in half a second. */
export function focusFrom(plan: ShotPlan, target: LineTarget, atS: number): ShotPlan {
  if (plan.line.moves.length === 0) return setLineStart(plan, target);
  return addRackTo(plan, target, Math.max(0, atS - 0.5), 0.5);
}

/** The mark at which someone stands at a time. */
export function markOf(laid: LaidMove, timeS: number): Mark {
  const { stays } = subjectOf(laid);
  const stay = [...stays].reverse().find(({ fromS }) => fromS <= timeS) ?? stays[0]!;
  return laid.plan.marks.find(({ id }) => id === stay.markId)!;
}

/** What the line is set to for someone where they stand at a time: their mark, unless the camera looks elsewhere now than when they came to it. */
export function focusOn(laid: LaidMove, timeS: number): LineTarget {
  const mark = markOf(laid, timeS);
  const { focusMm } = distancesAt(laid, timeS);
  const isTheMarks = Math.abs(planDistances(laid.plan).markFocusMm.get(mark.id)! - focusMm) < 1 || focusMm === Infinity;
  return isTheMarks ? { kind: 'mark', markId: mark.id } : { kind: 'distance', distanceMm: focusMm };
}

/** How long a move may last from a time on, so that it ends in the shot. */
export function roomS({ durationS }: ShotPlan, atS: number): { min: number; max: number } {
  return { min: 0.2, max: Math.max(durationS - atS, 0.2) };
}

/** The usual length of a move, or what is left of the shot. */
export function usualS(plan: ShotPlan, atS: number, wantedS: number): number {
  const { min, max } = roomS(plan, atS);
  return Math.min(Math.max(wantedS, min), max);
}

/** Their distance before the move is laid: what its usual figures start from. */
export function distanceNow(plan: ShotPlan, at: StagingAt): number {
  const { focusMm } = distancesAt(withSomeone(plan, at), at.atS);
  return Number.isFinite(focusMm) ? focusMm : USUAL_DISTANCE_MM;
}

export const DISTANCES = { min: PLAN_LIMITS.distanceMm.min, max: 100_000 };
/** Distances in the usual figures are round to 5 cm. */
export function round(mm: number): number {
  return Math.max(Math.round(mm / 50) * 50, 50);
}

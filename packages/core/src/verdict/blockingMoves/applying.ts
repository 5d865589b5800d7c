import { cameraPlaceAt, type Mark, easedPeak, type PathKey, type Place, type Subject } from '../../floor/index.js';
import {
  addPullTo,
  addSubjectAt,
  type CameraErrors,
  cameraErrorsOf,
  changeStay,
  type FocusTarget,
  moveCameraTo,
  PLAN_LIMITS,
  planDistances,
  setCameraErrors,
  setTrackStart,
  type ShotPlan,
  startFloor,
  walkTo,
} from '../../plan/index.js';
import { zoneSpans } from '../zoneSpans.js';
import {
  figure,
  type BlockedPlan,
  type BlockingMoveStart,
  type BlockingMoveFigure,
  type BlockingMoveParam,
  type BlockingMoveParamKey,
} from './blockingMove.js';

/** Default distance of a new subject. */
export const DEFAULT_DISTANCE_MM = 3000;

/** The plan with a floor, and with the subject of the move in it. A new subject stands on the lens axis. */
export function withSubject(
  plan: ShotPlan,
  { subjectId, atS }: BlockingMoveStart,
  distanceMm = DEFAULT_DISTANCE_MM,
): BlockedPlan {
  const drawn = startFloor(plan);
  const known = drawn.subjects.find(({ id, stays }) => id === subjectId && stays.length > 0);
  if (known && planDistances(drawn).sightingAt(known, atS)) return { plan: drawn, subjectId: known.id };
  const count = drawn.subjects.length;
  const added = addSubjectAt(drawn, `Someone ${count + 1}`, aheadOf(drawn, atS, distanceMm));
  return { plan: added, subjectId: added.subjects[Math.min(count, added.subjects.length - 1)]!.id };
}

export function subjectOf({ plan, subjectId }: BlockedPlan): Subject {
  return plan.subjects.find(({ id }) => id === subjectId)!;
}

/** Tape distance and focus distance of the subject at a time. */
export function distancesAt(blocked: BlockedPlan, timeS: number): { tapeMm: number; focusMm: number } {
  const distances = planDistances(blocked.plan);
  const subject = subjectOf(blocked);
  return { tapeMm: distances.sightingAt(subject, timeS)?.tapeMm ?? NaN, focusMm: distances.focusMmAt(subject, timeS) };
}

export function placeOf(blocked: BlockedPlan, timeS: number): Place {
  return planDistances(blocked.plan).sightingAt(subjectOf(blocked), timeS)!.place;
}

export function cameraOf({ floor }: ShotPlan, timeS: number): Place {
  return cameraPlaceAt(floor!, timeS);
}

/** The place at a given distance ahead of the camera along its axis, and to the left of it. */
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

/** The place at a given distance from one place towards another. */
export function towards(from: Place, to: Place, mm: number): Place {
  const share = mm / Math.max(apartMm(from, to), 1);
  return { xMm: from.xMm + (to.xMm - from.xMm) * share, yMm: from.yMm + (to.yMm - from.yMm) * share };
}

/** Distance on the floor for a tape distance between camera and eyes at a time. */
export function floorMm(plan: ShotPlan, subject: Subject, tapeMm: number, timeS: number): number {
  const upMm = subject.heightMm - cameraPlaceAt(plan.floor!, timeS).heightMm;
  return Math.sqrt(Math.max(tapeMm ** 2 - upMm ** 2, 1));
}

/** Adds a walk of the subject from its place to another. */
export function walk(blocked: BlockedPlan, to: Place, fromS: number, durationS: number): BlockedPlan {
  const before = subjectOf(blocked).stays;
  const leaves = before[before.length - 1]!;
  const walked = walkTo(blocked.plan, blocked.subjectId, to, fromS + durationS);
  return {
    ...blocked,
    plan: walked === blocked.plan ? walked : changeStay(walked, blocked.subjectId, leaves.id, { untilS: fromS }),
  };
}

/** Moves the camera through places at given times; it stands still before the first. */
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

/** Sets focus from a time on: the whole track if it has no pulls, else a pull that lands within half a second. */
export function setFocusFrom(plan: ShotPlan, target: FocusTarget, atS: number): ShotPlan {
  if (plan.focusTrack.pulls.length === 0) return setTrackStart(plan, target);
  return addPullTo(plan, target, Math.max(0, atS - 0.5), 0.5);
}

/** The mark at which the subject stands at a time. */
export function markOf(blocked: BlockedPlan, timeS: number): Mark {
  const { stays } = subjectOf(blocked);
  const stay = [...stays].reverse().find(({ fromS }) => fromS <= timeS) ?? stays[0]!;
  return blocked.plan.marks.find(({ id }) => id === stay.markId)!;
}

/** Focus target for the subject at a time: its mark, unless the camera looks elsewhere than on arrival. */
export function focusTargetAt(blocked: BlockedPlan, timeS: number): FocusTarget {
  const mark = markOf(blocked, timeS);
  const { focusMm } = distancesAt(blocked, timeS);
  const isTheMarks = Math.abs(planDistances(blocked.plan).markFocusAt(mark.id, timeS) - focusMm) < 1 || focusMm === Infinity;
  return isTheMarks ? { kind: 'mark', markId: mark.id } : { kind: 'distance', distanceMm: focusMm };
}

/** The plan with a move's own error: the camera drifts by at least that, unless its support makes it drift more anyway. */
export function withDrift(plan: ShotPlan, own: Pick<CameraErrors, 'driftSigmaMm' | 'driftTimeS'>): ShotPlan {
  return cameraErrorsOf(plan).driftSigmaMm >= own.driftSigmaMm ? plan : setCameraErrors(plan, own);
}

/** Minimum duration of a move. */
const SHORTEST_S = 0.2;

/** Parameter for the duration of a move, limited by the end of the shot. */
export function durationParam(plan: ShotPlan, { atS }: Pick<BlockingMoveStart, 'atS'>, defaultS: number): BlockingMoveParam {
  const min = SHORTEST_S;
  const max = Math.max(plan.durationS - atS, min);
  return { key: 'lastsS', unit: 'time', min, max, defaultValue: Math.min(Math.max(defaultS, min), max) };
}

/** Choice between two directions: 1 (default) or -1. */
export function directionChoice(key: BlockingMoveParamKey): BlockingMoveParam {
  return { key, unit: 'choice', min: -1, max: 1, defaultValue: 1, choices: [1, -1] };
}

/** A length parameter, such as the length of a walk. */
export function length(
  key: BlockingMoveParamKey,
  defaultValue: number,
  range: { readonly min: number; readonly max: number },
): BlockingMoveParam {
  return { key, unit: 'length', defaultValue, ...range };
}

/** A tape distance parameter; its default is rounded to 5 cm. */
export function distance(key: BlockingMoveParamKey, defaultMm: number): BlockingMoveParam {
  const defaultValue = Math.max(Math.round(defaultMm / 50) * 50, 50);
  return { key, unit: 'distance', min: PLAN_LIMITS.distanceMm.min, max: 100_000, defaultValue };
}

/** Whether the subject stays sharp during a move. */
export function isSharpThrough(blocked: BlockedPlan, atS: number, lastsS: number): boolean {
  return zoneSpans(blocked.plan, subjectOf(blocked)).some(
    ({ fromS, untilS }) => fromS <= atS + EDGE_MARGIN_S && untilS >= atS + lastsS - EDGE_MARGIN_S,
  );
}

/** Margin at both ends: about a frame. */
const EDGE_MARGIN_S = 0.05;

/** Length and speed of a way walked in a given time, smooth at both ends. */
export function paceFigures(wayMm: number, lastsS: number): BlockingMoveFigure[] {
  return [figure('mean-speed', 'speed', wayMm / lastsS), figure('peak-speed', 'speed', (wayMm / lastsS) * easedPeak(lastsS))];
}

/** Distance of the subject before the move: its default values are derived from it. */
export function currentDistanceMm(plan: ShotPlan, at: BlockingMoveStart): number {
  const { focusMm } = distancesAt(withSubject(plan, at), at.atS);
  return Number.isFinite(focusMm) ? focusMm : DEFAULT_DISTANCE_MM;
}

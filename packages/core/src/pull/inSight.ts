import { cameraPlaceAt, type FloorPlan, type Place, shortestTurnDeg, type SightOf, type Subject } from '../floor/index.js';
import { ringOf } from '../kit/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { halfViewDeg } from './opticsTrack.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';
import { spansWhere, type TimeSpan } from './timeSpans.js';

/** Whether what is seen lies in the picture, from side to side. */
export function isBetweenSides({ depthMm, offAxisDeg }: SightOf, halfDeg: number): boolean {
  return depthMm > 0 && Math.abs(offAxisDeg) <= halfDeg;
}

/** Whether what is focused on of someone is in the picture. Null for one who is not on the floor. */
export function isInFrame(plan: ShotPlan, subject: Subject, timeS: number): boolean | null {
  const sight = planDistances(plan).sightAt(subject, timeS);
  return sight && isBetweenSides(sight, halfViewDeg(plan.optics, timeS));
}

/**
 * When someone is in the picture, frame by frame at the capture rate: a span that starts after 0 is an entrance, one that ends before the shot does an exit.
 *
 * @returns null for one who is not on the floor at some time
 */
export function framedSpans(plan: ShotPlan, subject: Subject): TimeSpan[] | null {
  let isOnFloor = true;
  const spans = spansWhere(plan, (frame) => {
    const isIn = isInFrame(plan, subject, frame / plan.captureFps);
    isOnFloor &&= isIn !== null;
    return isIn === true;
  });
  return isOnFloor ? spans : null;
}

/** Whether someone can be focused on at all where they stand: some places are slips of the hand, and are said plainly. */
export type Standing = 'before-the-camera' | 'behind-it' | 'on-top-of-it' | 'nearer-than-it-focuses' | 'not-on-the-floor';

/** Closer than this someone and the camera are in one place. */
const ONE_PLACE_MM = 150;

export function standingOf(plan: ShotPlan, subject: Subject, timeS: number): Standing {
  const sight = planDistances(plan).sightAt(subject, timeS);
  if (sight === null) return 'not-on-the-floor';
  if (sight.tapeMm < ONE_PLACE_MM) return 'on-top-of-it';
  if (sight.depthMm <= 0) return 'behind-it';
  return sight.depthMm < ringOf(plan.optics.lens).closeFocusMm ? 'nearer-than-it-focuses' : 'before-the-camera';
}

/** Times at which something on the floor begins or ends: what is wrong with it is wrong at one of these, if not between them. */
export function floorTimes({ floor, subjects }: ShotPlan): number[] {
  return [
    ...new Set([
      ...(floor?.camera ?? []).map(({ timeS }) => timeS),
      ...(floor?.aims ?? []).map(({ timeS }) => timeS),
      ...subjects.flatMap(({ stays }) => stays.flatMap(({ fromS, untilS }) => [fromS, untilS])),
    ]),
  ].sort((a, b) => a - b);
}

/** Where places lie for the lens at a time: how deep along its axis, below 0 behind it, and how far beside it, to the left positive. For a plan with a drawing. */
export function lensView(
  plan: ShotPlan & { readonly floor: FloorPlan },
  timeS: number,
): (place: Place) => { depthMm: number; sideMm: number } {
  const camera = cameraPlaceAt(plan.floor, timeS);
  const rad = (planDistances(plan).headingAt(timeS) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(rad), Math.sin(rad)];
  return ({ xMm, yMm }) => {
    const [dx, dy] = [xMm - camera.xMm, yMm - camera.yMm];
    return { depthMm: dx * cos + dy * sin, sideMm: dy * cos - dx * sin };
  };
}

/** How far the camera turns in a shot: what whoever turns it must be able to cover without moving their feet. */
export interface FieldOfAction {
  /** The outermost headings, in degrees; to the left is more */
  readonly fromDeg: number;
  readonly toDeg: number;
  /** Between them; more than a full turn where it goes round */
  readonly turnDeg: number;
  readonly fastestDegPerS: number;
}

/** How far, and how fast, the camera turns, frame by frame. */
export function fieldOfAction(plan: ShotPlan): FieldOfAction {
  const { headingAt } = planDistances(plan);
  const frames = countFrames(plan.durationS, plan.captureFps);
  let [heading, low, high, fastest] = [headingAt(0), headingAt(0), headingAt(0), 0];
  for (let frame = 1; frame < frames; frame++) {
    // unrolled: a camera that goes on round past half a turn has gone that much farther
    const turn = shortestTurnDeg(heading, headingAt(frame / plan.captureFps));
    heading += turn;
    low = Math.min(low, heading);
    high = Math.max(high, heading);
    fastest = Math.max(fastest, Math.abs(turn) * plan.captureFps);
  }
  return { fromDeg: low, toDeg: high, turnDeg: high - low, fastestDegPerS: fastest };
}

/** How someone moves as the camera sees it, in mm a second. */
export interface Motion {
  /** Along the lens axis, positive away from the camera: what focus follows while the camera does not turn */
  readonly alongMmPerS: number;
  /** Across it, positive to the left */
  readonly acrossMmPerS: number;
  /** How the depth changes: along the axis, and by the camera's turning while someone is beside it */
  readonly depthMmPerS: number;
}

/** Speeds are taken from so long before a time to so long after, within the shot. */
const AROUND_S = 0.05;

/**
 * Tells sideways motion from motion in depth: of a subject against the camera, whichever of them moves.
 *
 * @returns null for one who is not on the floor
 */
export function motionOf(plan: ShotPlan, subject: Subject, timeS: number): Motion | null {
  if (plan.floor === null) return null;
  const { sightAt, headingAt } = planDistances(plan);
  const [fromS, toS] = [Math.max(timeS - AROUND_S, 0), Math.min(timeS + AROUND_S, plan.durationS)];
  const [from, to] = [sightAt(subject, fromS), sightAt(subject, toS)];
  if (!from || !to) return null;
  const [cameraFrom, cameraTo] = [cameraPlaceAt(plan.floor, fromS), cameraPlaceAt(plan.floor, toS)];
  const seconds = toS - fromS;
  const xMmPerS = (to.place.xMm - cameraTo.xMm - from.place.xMm + cameraFrom.xMm) / seconds;
  const yMmPerS = (to.place.yMm - cameraTo.yMm - from.place.yMm + cameraFrom.yMm) / seconds;
  const rad = (headingAt(timeS) * Math.PI) / 180;
  return {
    alongMmPerS: xMmPerS * Math.cos(rad) + yMmPerS * Math.sin(rad),
    acrossMmPerS: -xMmPerS * Math.sin(rad) + yMmPerS * Math.cos(rad),
    depthMmPerS: (to.depthMm - from.depthMm) / seconds,
  };
}

import {
  aboveAxisMm,
  cameraPlaceAt,
  type FloorPlan,
  type Place,
  shortestTurnDeg,
  type Sighting,
  type Subject,
} from '../floor/index.js';
import { ringOf } from '../kit/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { halfViewDeg } from './opticsOverTime.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';
import { spansWhere, type TimeSpan } from './timeSpans.js';

/** Whether a place is between the left and right edge of the picture. */
export function isBetweenSides({ depthMm, offAxisDeg }: Sighting, halfDeg: number): boolean {
  return depthMm > 0 && Math.abs(offAxisDeg) <= halfDeg;
}

/** Whether the subject's point of focus is in the picture. Null if the subject is not on the floor. */
export function isInFrame(plan: ShotPlan, subject: Subject, timeS: number): boolean | null {
  const sight = planDistances(plan).sightingAt(subject, timeS);
  return sight && isBetweenSides(sight, halfViewDeg(plan.optics, timeS));
}

/**
 * Spans in which a subject is in the picture, at the capture rate. A span that starts after 0 is an entrance; one that ends
 * before the shot is an exit.
 *
 * @returns null if the subject is not on the floor at some time
 */
export function framedSpans(plan: ShotPlan, subject: Subject): TimeSpan[] | null {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const isIn = Array.from({ length: frames }, (_, frame) => isInFrame(plan, subject, frame / plan.captureFps));
  return isIn.includes(null) ? null : spansWhere(plan, (frame) => isIn[frame] === true);
}

/** Whether a subject can be focused on where it stands. Some places are errors and are reported. */
export type Placement = 'before-the-camera' | 'behind-it' | 'on-top-of-it' | 'nearer-than-it-focuses' | 'not-on-the-floor';

/** Below this distance, subject and camera are in the same place. */
const SAME_PLACE_MM = 150;

export function placementOf(plan: ShotPlan, subject: Subject, timeS: number): Placement {
  const sight = planDistances(plan).sightingAt(subject, timeS);
  if (sight === null) return 'not-on-the-floor';
  if (sight.tapeMm < SAME_PLACE_MM) return 'on-top-of-it';
  if (sight.depthMm <= 0) return 'behind-it';
  return sight.depthMm < ringOf(plan.optics.lens).closeFocusMm ? 'nearer-than-it-focuses' : 'before-the-camera';
}

/** Times at which something on the floor starts or ends: errors are found by checking these times. */
export function floorTimes({ floor, subjects }: ShotPlan): number[] {
  return [
    ...new Set([
      ...(floor?.camera ?? []).map(({ timeS }) => timeS),
      ...(floor?.aims ?? []).map(({ timeS }) => timeS),
      ...subjects.flatMap(({ stays }) => stays.flatMap(({ fromS, untilS }) => [fromS, untilS])),
    ]),
  ].sort((a, b) => a - b);
}

/** A place on the floor as the lens sees it at its own height. */
export interface PlaceView {
  /** Along the axis; negative behind the camera */
  readonly depthMm: number;
  /** Positive to the left */
  readonly sideMm: number;
  /** The floor below the place, above the axis and square to it */
  readonly floorAboveMm: number;
}

/** How the lens sees places at a time. Needs a floor plan. */
export function lensView(plan: ShotPlan & { readonly floor: FloorPlan }, timeS: number): (place: Place) => PlaceView {
  const { camera, forward } = planDistances(plan).cameraAt(timeS)!;
  const [x, y] = forward;
  const level = Math.hypot(x, y);
  return (place) => {
    const [dx, dy] = [place.xMm - camera.xMm, place.yMm - camera.yMm];
    const depthMm = dx * x + dy * y;
    return {
      depthMm,
      sideMm: (dy * x - dx * y) / level,
      floorAboveMm: aboveAxisMm(forward, depthMm, -camera.heightMm),
    };
  };
}

/** How far the camera turns in a shot: the range the operator must cover without moving their feet. */
export interface FieldOfAction {
  /** Extreme headings in degrees; larger is farther left */
  readonly fromDeg: number;
  readonly toDeg: number;
  /** Turn between them; more than 360 if the camera goes round */
  readonly turnDeg: number;
  readonly fastestDegPerS: number;
}

/** Range and peak speed of the camera's turn, from all frames. */
export function fieldOfAction(plan: ShotPlan): FieldOfAction {
  const { headingAt } = planDistances(plan);
  const frames = countFrames(plan.durationS, plan.captureFps);
  let [heading, low, high, fastest] = [headingAt(0), headingAt(0), headingAt(0), 0];
  for (let frame = 1; frame < frames; frame++) {
    // unwrapped: a camera that turns past half a circle keeps counting
    const turn = shortestTurnDeg(heading, headingAt(frame / plan.captureFps));
    heading += turn;
    low = Math.min(low, heading);
    high = Math.max(high, heading);
    fastest = Math.max(fastest, Math.abs(turn) * plan.captureFps);
  }
  return { fromDeg: low, toDeg: high, turnDeg: high - low, fastestDegPerS: fastest };
}

/** Movement of a subject as the camera sees it, in mm per second. */
export interface SubjectMotion {
  /** Along the lens axis, positive away from the camera; focus follows this while the camera does not turn */
  readonly alongMmPerS: number;
  /** Across the lens axis, positive to the left */
  readonly acrossMmPerS: number;
  /** Change of depth: movement along the axis plus the effect of the camera's turn */
  readonly depthMmPerS: number;
}

/** Half of the time span over which speeds are measured. */
const MARGIN_S = 0.05;

/**
 * Splits a subject's movement relative to the camera into depth and sideways motion.
 *
 * @returns null if the subject is not on the floor
 */
export function motionOf(plan: ShotPlan, subject: Subject, timeS: number): SubjectMotion | null {
  if (plan.floor === null) return null;
  const { sightingAt, headingAt } = planDistances(plan);
  const [fromS, toS] = [Math.max(timeS - MARGIN_S, 0), Math.min(timeS + MARGIN_S, plan.durationS)];
  const [from, to] = [sightingAt(subject, fromS), sightingAt(subject, toS)];
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

import type { FloorPlan } from './floorPlan.js';
import { minimumJerk } from './minimumJerk.js';
import { between, headingDeg, type Place } from './place.js';

/** Camera place at a time, interpolated between two keys (eased or steady). */
export function cameraPlaceAt({ camera }: FloorPlan, timeS: number): Place {
  let from = camera[0]!;
  for (const key of camera) {
    if (timeS < key.timeS) {
      if (key === from) return from;
      const progress = (timeS - from.timeS) / (key.timeS - from.timeS);
      return between(from, key, key.pace === 'steady' ? progress : minimumJerk(progress));
    }
    from = key;
  }
  return from;
}

/**
 * Heading of the lens axis at a time, in degrees anticlockwise from the x axis.
 *
 * @param placeOf - place of a subject at that time; null if the subject is not on the floor
 * @returns a finite angle. An aim at the camera's own place keeps the heading of the aim before it; the first one looks along
 * x.
 */
export function cameraHeadingAt(floor: FloorPlan, timeS: number, placeOf: (subjectId: string) => Place | null): number {
  const camera = cameraPlaceAt(floor, timeS);
  let headingNow = 0;
  const headingOf = (at: FloorPlan['aims'][number]['at']): number => {
    if (at.kind === 'heading') return at.deg;
    const target = at.kind === 'point' ? at : placeOf(at.subjectId);
    return target === null || (target.xMm === camera.xMm && target.yMm === camera.yMm) ? headingNow : headingDeg(camera, target);
  };
  floor.aims.forEach((aim, index) => {
    if (index === 0 || timeS >= aim.timeS) headingNow = headingOf(aim.at);
    else if (timeS > aim.timeS - aim.panS) {
      const progress = minimumJerk((timeS - (aim.timeS - aim.panS)) / aim.panS);
      headingNow += shortestTurnDeg(headingNow, headingOf(aim.at)) * progress;
    }
  });
  return headingNow;
}

/** Signed turn from one heading to another the short way round, −180 (included) to 180 degrees. */
export function shortestTurnDeg(fromDeg: number, toDeg: number): number {
  const turn = (((toDeg - fromDeg) % 360) + 540) % 360;
  return turn - 180;
}

import { minimumJerk } from '../floor/index.js';
import { pictureSize, zoneLensOf } from '../kit/index.js';
import type { ZoneLens } from '../optics/index.js';
import { type OpticsChange, pullEndS, type ShotOptics } from './shotPlan.js';

/** Whether stop and focal length stay constant for the whole shot. */
export function isSteady({ zooms, irisPulls }: ShotOptics): boolean {
  return zooms.length === 0 && irisPulls.length === 0;
}

/** Stop at a time, as engraved. An iris pull is even in stops and smooth at both ends. */
export function stopAt({ stop, irisPulls }: ShotOptics, timeS: number): number {
  return valueAt(stop, irisPulls, timeS);
}

/** Focal length at a time. A zoom is even in picture size and smooth at both ends. */
export function focalLengthAt({ focalLengthMm, zooms }: ShotOptics, timeS: number): number {
  return valueAt(focalLengthMm, zooms, timeS);
}

/** Focal length, f-number and circle of confusion at a time. */
export function zoneLensAt(optics: ShotOptics, timeS: number): ZoneLens {
  if (isSteady(optics)) return zoneLensOf(optics);
  return zoneLensOf({ ...optics, stop: stopAt(optics, timeS), focalLengthMm: focalLengthAt(optics, timeS) });
}

function valueAt(start: number, moves: readonly OpticsChange[], timeS: number): number {
  let value = start;
  for (const move of moves) {
    if (timeS <= move.startS) return value;
    if (timeS < pullEndS(move)) return value * (move.to / value) ** minimumJerk((timeS - move.startS) / move.durationS);
    value = move.to;
  }
  return value;
}

/** Half of the horizontal angle of view in degrees, as the viewer sees it: after the mode's crop and steadying, unsqueezed. */
export function halfViewDeg(optics: ShotOptics, timeS: number): number {
  const halfWidthMm = (pictureSize(optics.camera).sensorWidthMm * optics.lens.squeeze) / 2;
  return (Math.atan(halfWidthMm / focalLengthAt(optics, timeS)) * 180) / Math.PI;
}

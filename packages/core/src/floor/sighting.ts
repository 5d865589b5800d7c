import type { EyesPlace } from './cameraAt.js';
import type { Place } from './place.js';

/** Camera and lens axis at one time. */
export interface CameraPose {
  readonly camera: EyesPlace;
  readonly headingDeg: number;
  /** Unit vector of the lens axis: along x, along y, upwards */
  readonly forward: readonly [number, number, number];
  /** Subject at which the camera is aimed, with no pan in progress; the axis then follows that subject */
  readonly aimedAt: string | null;
}

/** What every frame needs of the camera. */
export type FramePose = Pick<CameraPose, 'camera' | 'forward'>;

/** A place as the lens meets it at one time. Lengths in mm. */
export interface Sighting {
  readonly place: Place;
  /** Straight line from the image plane to the point of focus */
  readonly tapeMm: number;
  /** Distance along the lens axis: what the ring must be set to. Negative behind the camera */
  readonly depthMm: number;
  /** Angle off the axis, positive to the left */
  readonly offAxisDeg: number;
  /** Height above the axis, square to it: upwards in the picture */
  readonly aboveMm: number;
}

/**
 * Focus distance of a place: its depth, plus a tape's correction taken along the axis. As `see` has them, but without its angles: this runs for
 * every subject in every frame.
 *
 * @param shiftMm - the tape's correction
 * @returns at least `MIN_DEPTH_MM`
 */
export function focusTo({ camera, forward }: FramePose, place: Place, heightMm: number, shiftMm: number): number {
  const upMm = heightMm - camera.heightMm;
  const dx = place.xMm - camera.xMm;
  const dy = place.yMm - camera.yMm;
  const depthMm = dx * forward[0] + dy * forward[1] + upMm * forward[2];
  if (shiftMm === 0) return Math.max(depthMm, MIN_DEPTH_MM);
  const tapeMm = Math.sqrt(dx * dx + dy * dy + upMm * upMm);
  return Math.max(depthMm + shiftMm * (tapeMm > 0 ? depthMm / tapeMm : 1), MIN_DEPTH_MM);
}

/** A place beside or behind the camera has no focus to set, so it counts as this near. */
const MIN_DEPTH_MM = 1;

/** Equals `blockingDistance`, written out. */
export function see({ camera, forward }: CameraPose, place: Place, heightMm: number): Sighting {
  const upMm = heightMm - camera.heightMm;
  const [dx, dy] = [place.xMm - camera.xMm, place.yMm - camera.yMm];
  const [x, y, z] = forward;
  const levelMm = dx * x + dy * y;
  // across and along the axis as seen from above; the lengths of both have the same factor
  const sideMm = dy * x - dx * y;
  return {
    place,
    tapeMm: Math.sqrt(dx * dx + dy * dy + upMm * upMm),
    depthMm: levelMm + upMm * z,
    offAxisDeg: (Math.atan2(sideMm, levelMm) * 180) / Math.PI,
    aboveMm: aboveAxisMm(forward, levelMm, upMm),
  };
}

/**
 * Height of a place above the lens axis, square to it.
 *
 * @param forward - unit vector of the axis
 * @param levelMm - horizontal way to the place times the horizontal part of `forward`
 * @param upMm - height above the lens
 */
export function aboveAxisMm([x, y, z]: CameraPose['forward'], levelMm: number, upMm: number): number {
  const level = Math.sqrt(x * x + y * y);
  return upMm * level - (levelMm / level) * z;
}

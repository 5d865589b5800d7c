import { conjugates } from './conjugates.js';

export interface ImageScaleOptions {
  readonly focalLengthMm: number;
  readonly focusDistanceMm: number;
  /** Tape distance of the depicted thing, beyond the lens; Infinity allowed */
  readonly subjectDistanceMm: number;
  readonly principalSeparationMm?: number;
}

/**
 * Scale at which the lens depicts a distance: mm on the sensor per mm at the subject. In focus this is the magnification. Out
 * of focus it is the scale of the blur centres.
 *
 * @returns 0 at infinity; Infinity for a thing nearer than the lens itself
 * @throws {CoreError} as `conjugates`
 * Source: central projection through the lens, v / u', with the lens where focus puts it.
 */
export function imageScale({
  focalLengthMm,
  focusDistanceMm,
  subjectDistanceMm,
  principalSeparationMm = 0,
}: ImageScaleOptions): number {
  const { imageMm } = conjugates(focalLengthMm, focusDistanceMm, principalSeparationMm);
  const objectMm = subjectDistanceMm - principalSeparationMm - imageMm;
  return objectMm <= 0 ? Infinity : imageMm / objectMm;
}

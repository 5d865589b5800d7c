import { conjugates } from './conjugates.js';

export interface ImageScaleOptions {
  readonly focalLengthMm: number;
  readonly focusDistanceMm: number;
  /** What is drawn: a tape distance in front of the lens, Infinity allowed */
  readonly subjectDistanceMm: number;
  readonly principalSeparationMm?: number;
}

/**
 * How large something is drawn: millimetres on the sensor for one at the subject. In focus it is the magnification; out of focus the middle of what it blurs to.
 *
 * @returns 0 at infinity; Infinity for what stands nearer than the lens itself
 * @throws {CoreError} as `conjugates`
 * Source: central projection through the lens, v / u', with the lens where focus put it.
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

import { assertInRange, CoreError } from '../errors.js';
import { conjugates } from './conjugates.js';

export interface BlurDiameterOptions {
  /** > 0 */
  readonly focalLengthMm: number;
  /** Geometric f-number, > 0 */
  readonly fNumber: number;
  /** Tape distance the lens is focused at; Infinity allowed */
  readonly focusDistanceMm: number;
  /** Tape distance of the subject; Infinity allowed; in front of the lens */
  readonly subjectDistanceMm: number;
  readonly principalSeparationMm?: number;
}

/**
 * Blur diameter of a point subject on the sensor.
 *
 * @returns mm on the sensor, 0 in the focused plane
 * @throws {CoreError} `behind-the-lens` if the subject is no farther than the lens itself; otherwise as `conjugates`
 * Source: similar triangles behind a Gaussian thin lens: c = (f²/N) |u' - u| / (u' (u - f)).
 * @example blurDiameterMm({ focalLengthMm: 50, fNumber: 2, focusDistanceMm: 3000, subjectDistanceMm: Infinity }) is 0.43116…
 */
export function blurDiameterMm(options: BlurDiameterOptions): number {
  const { focalLengthMm: f, fNumber, focusDistanceMm, subjectDistanceMm, principalSeparationMm: s = 0 } = options;
  assertInRange('fNumber', fNumber, { above: 0 });
  const { objectMm, imageMm } = conjugates(f, focusDistanceMm, s);
  const subjectObjectMm = subjectDistanceMm - s - imageMm;
  if (!(subjectObjectMm > 0)) {
    throw new CoreError({
      code: Number.isNaN(subjectDistanceMm) ? 'not-a-number' : 'behind-the-lens',
      path: 'subjectDistanceMm',
      values: { given: String(subjectDistanceMm), above: s + imageMm },
    });
  }
  return blurBetween(f, fNumber, objectMm, subjectObjectMm);
}

/**
 * Blur diameter from known object distances: the inner loop of all frame-by-frame code.
 *
 * @param objectMm - lens to focused plane; Infinity allowed
 * @param subjectObjectMm - lens to subject, > 0; Infinity allowed
 */
export function blurBetween(focalLengthMm: number, fNumber: number, objectMm: number, subjectObjectMm: number): number {
  const pupilScale = focalLengthMm ** 2 / fNumber;
  if (objectMm === Infinity) return subjectObjectMm === Infinity ? 0 : pupilScale / subjectObjectMm;
  if (subjectObjectMm === Infinity) return pupilScale / (objectMm - focalLengthMm);
  return (pupilScale * Math.abs(subjectObjectMm - objectMm)) / (subjectObjectMm * (objectMm - focalLengthMm));
}

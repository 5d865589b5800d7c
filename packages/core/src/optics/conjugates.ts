import { assertInRange, CoreError } from '../errors.js';

/** Object distance, image distance and extension of a thin lens focused at a tape distance. */
export interface Conjugates {
  /** Lens to subject; Infinity when focused at infinity. */
  readonly objectMm: number;
  /** Lens to image plane. */
  readonly imageMm: number;
  /** Extension: `imageMm - focalLengthMm`, computed without cancellation. */
  readonly extensionMm: number;
}

/**
 * Conjugates of a thin lens focused at a tape distance.
 *
 * @param focalLengthMm - > 0
 * @param tapeMm - image plane to subject; Infinity allowed; minus the separation, at least four focal lengths (life size)
 * @param principalSeparationMm - separation of the principal planes; 0 if the lens states none
 * @throws {CoreError} `closer-than-life-size`, `not-a-number`, `out-of-range`
 * Source: Gauss's lens equation with object and image distance adding to D = d - s. Newton's form x x' = f² gives the
 * extension.
 * @example conjugates(50, 200) is at life size: objectMm 100, imageMm 100
 */
export function conjugates(focalLengthMm: number, tapeMm: number, principalSeparationMm = 0): Conjugates {
  assertInRange('focalLengthMm', focalLengthMm, { above: 0 });
  assertInRange('principalSeparationMm', principalSeparationMm, {});
  if (tapeMm === Infinity) return { objectMm: Infinity, imageMm: focalLengthMm, extensionMm: 0 };
  const reachMm = tapeMm - principalSeparationMm;
  // NaN fails this comparison as well, and is reported as given
  if (!(reachMm >= 4 * focalLengthMm)) {
    throw new CoreError({
      code: Number.isNaN(tapeMm) ? 'not-a-number' : 'closer-than-life-size',
      path: 'focusDistanceMm',
      values: { given: String(tapeMm), min: 4 * focalLengthMm + principalSeparationMm },
    });
  }
  const objectMm = (reachMm + Math.sqrt(reachMm * (reachMm - 4 * focalLengthMm))) / 2;
  const extensionMm = focalLengthMm ** 2 / (objectMm - focalLengthMm);
  return { objectMm, imageMm: focalLengthMm + extensionMm, extensionMm };
}

/** Tape distance at which a lens with this extension is focused: 0 is infinity, the focal length is life size. */
export function tapeAtExtension(focalLengthMm: number, extensionMm: number, principalSeparationMm = 0): number {
  if (extensionMm <= 0) return Infinity;
  return principalSeparationMm + 2 * focalLengthMm + focalLengthMm ** 2 / extensionMm + extensionMm;
}

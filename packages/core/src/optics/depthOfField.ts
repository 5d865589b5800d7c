import { assertInRange } from '../errors.js';
import { conjugates } from './conjugates.js';

/** The lens as `depthOfField` needs it: focal length, f-number and circle of confusion. */
export interface ZoneLens {
  /** > 0 */
  readonly focalLengthMm: number;
  /** Geometric f-number, > 0 (not the T-stop) */
  readonly fNumber: number;
  /** Largest blur diameter on the sensor that counts as sharp, > 0 */
  readonly circleOfConfusionMm: number;
  /** Separation of the principal planes; 0 unless the lens states it */
  readonly principalSeparationMm?: number;
}

export interface DepthOfFieldOptions extends ZoneLens {
  /** Tape distance, at least four focal lengths; Infinity allowed */
  readonly focusDistanceMm: number;
}

/** The zone (near to far limit, as tape distances), and what follows from it. */
export interface DepthOfField {
  readonly nearMm: number;
  /** Infinity from the hyperfocal distance on */
  readonly farMm: number;
  /** Focus distance minus near limit; Infinity if focused at infinity */
  readonly inFrontMm: number;
  /** Far limit minus focus distance; Infinity from the hyperfocal distance on */
  readonly behindMm: number;
  readonly totalMm: number;
  readonly hyperfocalMm: number;
  /** Image size over subject size; 0 at infinity */
  readonly magnification: number;
}

/**
 * Nearest and farthest distance that still looks sharp, for a thin lens.
 *
 * @param options - see its fields for units and ranges
 * @returns limits as tape distances, measured from the image plane
 * @throws {CoreError} `closer-than-life-size`, `not-a-number`, `out-of-range`
 * Source: blur of a point off the focused plane, by similar triangles behind a Gaussian thin lens; k = N C (u - f), u_near = u
 * f² / (f² + k), u_far = u f² / (f² - k).
 * @example depthOfField({ focalLengthMm: 50, fNumber: 2.8, circleOfConfusionMm: 0.025, focusDistanceMm: 3000 }) has nearMm
 * 2778.57…, farMm 3260.54…
 */
export function depthOfField(options: DepthOfFieldOptions): DepthOfField {
  const { focalLengthMm: f, focusDistanceMm, principalSeparationMm: s = 0 } = options;
  assertZoneLens(options);
  const { objectMm: u, imageMm: v } = conjugates(f, focusDistanceMm, s);
  const { nearMm, farMm } = zoneLimits(options, u, v);
  const hyperfocalObjectMm = f ** 2 / (options.fNumber * options.circleOfConfusionMm) + f;
  return {
    nearMm,
    farMm,
    inFrontMm: focusDistanceMm - nearMm,
    // Infinity minus Infinity is NaN: behind a focus at infinity there is no limit
    behindMm: farMm === Infinity ? Infinity : farMm - focusDistanceMm,
    totalMm: farMm - nearMm,
    hyperfocalMm: hyperfocalObjectMm + s + (f * hyperfocalObjectMm) / (hyperfocalObjectMm - f),
    magnification: f / (u - f),
  };
}

/**
 * Near and far limit from known conjugates: the inner loop of all frame-by-frame code.
 *
 * @param objectMm - lens to focused plane; Infinity allowed
 * @param imageMm - lens to image plane
 */
export function zoneLimits(lens: ZoneLens, objectMm: number, imageMm: number): { nearMm: number; farMm: number } {
  const { focalLengthMm: f, fNumber, circleOfConfusionMm, principalSeparationMm: s = 0 } = lens;
  const toTapeMm = s + imageMm;
  if (objectMm === Infinity) return { nearMm: f ** 2 / (fNumber * circleOfConfusionMm) + toTapeMm, farMm: Infinity };
  const k = fNumber * circleOfConfusionMm * (objectMm - f);
  const nearMm = (objectMm * f ** 2) / (f ** 2 + k) + toTapeMm;
  const farMm = k >= f ** 2 ? Infinity : (objectMm * f ** 2) / (f ** 2 - k) + toTapeMm;
  return { nearMm, farMm };
}

function assertZoneLens(lens: ZoneLens): void {
  assertInRange('focalLengthMm', lens.focalLengthMm, { above: 0 });
  assertInRange('fNumber', lens.fNumber, { above: 0 });
  assertInRange('circleOfConfusionMm', lens.circleOfConfusionMm, { above: 0 });
}

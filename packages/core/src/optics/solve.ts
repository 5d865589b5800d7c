import { assertInRange, CoreError } from '../errors.js';
import { conjugates } from './conjugates.js';
import type { ZoneLens } from './depthOfField.js';

type Glass = Omit<ZoneLens, 'fNumber'>;

/** A focus distance with an f-number. The lens may not offer that stop: the caller knows its scale. */
export interface FocusAndStop {
  readonly focusDistanceMm: number;
  /** Geometric f-number */
  readonly fNumber: number;
}

/**
 * Widest stop that keeps two distances sharp, and the focus distance for it, at which both have equal blur.
 *
 * @param nearMm - tape distance, from four focal lengths on
 * @param farMm - beyond `nearMm`; Infinity allowed
 * @throws {CoreError} `closer-than-life-size`, `not-apart`, `not-a-number`
 * Source: equal blur at both limits; in object distances u = 2 u₁ u₂ / (u₁ + u₂), with the lens position found by bisection.
 * @example a 50 mm lens, C 0.025 mm, from 2 m to 4 m: focused at 2.66 m, f/13.2
 */
export function holdBoth(glass: Glass, nearMm: number, farMm: number): FocusAndStop {
  const { focalLengthMm: f, circleOfConfusionMm, principalSeparationMm: s = 0 } = glass;
  assertInRange('circleOfConfusionMm', circleOfConfusionMm, { above: 0 });
  conjugates(f, nearMm, s);
  if (!(farMm > nearMm))
    throw new CoreError({
      code: Number.isNaN(farMm) ? 'not-a-number' : 'not-apart',
      path: 'farMm',
      values: { given: String(farMm), above: nearMm },
    });
  // difference of near and far blur, in units of f² / (N (u - f))
  const excess = (tapeMm: number): number => {
    const { objectMm: u, imageMm: v } = conjugates(f, tapeMm, s);
    const near = nearMm - s - v;
    const far = farMm - s - v;
    return (u - near) / near - (far === Infinity ? 1 : (far - u) / far);
  };
  let low = nearMm;
  let high = farMm === Infinity ? 4 * nearMm : farMm;
  for (;;) {
    const middle = (low + high) / 2;
    if (middle <= low || middle >= high || high - low < 1e-13 * high) break;
    if (excess(middle) < 0) low = middle;
    else high = middle;
  }
  const focusDistanceMm = (low + high) / 2;
  return { focusDistanceMm, fNumber: fNumberFor(glass, focusDistanceMm, nearMm) };
}

/**
 * Widest f-number at which a subject at the focused distance may move by the given amounts and stay sharp.
 *
 * @param nearerMm - allowance towards the camera, at least 0
 * @param fartherMm - allowance away from the camera, at least 0; Infinity allowed
 * @returns Infinity if no stop is enough because the subject would reach the lens
 * @throws {CoreError} `closer-than-life-size`, `not-a-number`, `out-of-range`
 */
export function stopForAllowance(glass: Glass, focusDistanceMm: number, nearerMm: number, fartherMm: number): number {
  assertInRange('nearerMm', nearerMm, { min: 0 });
  if (fartherMm !== Infinity) assertInRange('fartherMm', fartherMm, { min: 0 });
  return Math.max(
    nearerMm === 0 ? 0 : fNumberFor(glass, focusDistanceMm, focusDistanceMm - nearerMm),
    fartherMm === 0 ? 0 : fNumberFor(glass, focusDistanceMm, focusDistanceMm + fartherMm),
  );
}

/** f-number at which the subject's blur equals the circle of confusion; Infinity if the subject is not in front of the lens. */
function fNumberFor(glass: Glass, focusDistanceMm: number, subjectMm: number): number {
  const { focalLengthMm: f, circleOfConfusionMm, principalSeparationMm: s = 0 } = glass;
  assertInRange('circleOfConfusionMm', circleOfConfusionMm, { above: 0 });
  const { objectMm: u, imageMm: v } = conjugates(f, focusDistanceMm, s);
  const subject = subjectMm - s - v;
  if (subject <= 0) return Infinity;
  if (u === Infinity) return subject === Infinity ? 0 : f ** 2 / (subject * circleOfConfusionMm);
  const apart = subject === Infinity ? 1 : Math.abs(subject - u) / subject;
  return (f ** 2 * apart) / ((u - f) * circleOfConfusionMm);
}

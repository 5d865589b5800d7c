import type { LensRing } from '../kit/index.js';
import { tapeAtExtension, type ZoneLens } from '../optics/index.js';

/**
 * The distances a lens may be focused at for a subject to blur to just so much, nearer than it and farther.
 *
 * @param distanceMm - tape distance of the subject, Infinity allowed
 * @param blurMm - diameter on the sensor
 * @returns NaN on a side where no setting of any ring blurs it so much: it is sharper than that up to life size
 *
 * Source: with the image plane D = d - s before the subject and the lens v before the image plane, the subject's image lies at v' = f (D - v) / (D - v - f), and its blur is
 * (f / N) |v' - v| / v'. It equals C where v = (1 ± k) v' with k = N C / f, a quadratic in v; the smaller root is the lens nearer the image plane.
 */
export function focusesForBlur(lens: ZoneLens, distanceMm: number, blurMm: number): { nearMm: number; farMm: number } {
  const { focalLengthMm: f, fNumber, principalSeparationMm: s = 0 } = lens;
  const k = (fNumber * blurMm) / f;
  const reachMm = distanceMm - s;
  const focusedAt = (side: 1 | -1): number => {
    const a = (1 + side * k) * f;
    if (distanceMm === Infinity) return tapeAtExtension(f, a - f, s);
    const sum = reachMm - f + a;
    const root = sum * sum - 4 * a * reachMm;
    return root < 0 ? NaN : tapeAtExtension(f, (2 * a * reachMm) / (sum + Math.sqrt(root)) - f, s);
  };
  return { nearMm: focusedAt(1), farMm: focusedAt(-1) };
}

/**
 * The distance to focus at for a subject to blur to so much, on the side that is asked for.
 *
 * @returns the ring's own end on that side where no focus blurs it so much
 */
export function focusForBlur(
  lens: ZoneLens,
  ring: LensRing,
  distanceMm: number,
  blurMm: number,
  towards: 'near' | 'far',
): number {
  const { nearMm, farMm } = focusesForBlur(lens, distanceMm, blurMm);
  const mm = towards === 'near' ? nearMm : farMm;
  // past infinity the lens would stand nearer the image than it can
  if (Number.isFinite(mm) && mm > 0) return mm;
  return towards === 'near' ? ring.closeFocusMm : Infinity;
}

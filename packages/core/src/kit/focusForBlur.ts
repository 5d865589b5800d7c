import type { LensRing } from './ring.js';
import { tapeAtExtension, type ZoneLens } from '../optics/index.js';

/**
 * Focus distances at which a subject has a given blur diameter, one nearer and one farther than the subject.
 *
 * @param distanceMm - tape distance of the subject; Infinity allowed
 * @param blurMm - blur diameter on the sensor
 * @returns NaN on a side where no focus distance blurs the subject that much; on both sides for a subject within two focal lengths
 *
 * Source: with the image plane at D = d - s before the subject and the lens at v before the image plane, the subject's image
 * lies at v' = f (D - v) / (D - v - f), and its blur is (f / N) |v' - v| / v'. The blur equals C where v = (1 ± k) v' with k =
 * N C / f, a quadratic in v. Its smaller root is the lens nearer the image plane.
 */
export function focusesForBlur(lens: ZoneLens, distanceMm: number, blurMm: number): { nearMm: number; farMm: number } {
  const { focalLengthMm: f, fNumber, principalSeparationMm: s = 0 } = lens;
  const k = (fNumber * blurMm) / f;
  const reachMm = distanceMm - s;
  // so near that the lens makes no image of it
  if (!(reachMm > 2 * f)) return { nearMm: NaN, farMm: NaN };
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
 * Focus distance at which a subject has a given blur diameter, on the requested side.
 *
 * @returns the end of the ring on that side if no focus distance blurs the subject that much
 */
export function focusForBlur(
  lens: ZoneLens,
  ring: LensRing,
  { distanceMm, blurMm, towards }: { distanceMm: number; blurMm: number; towards: 'near' | 'far' },
): number {
  const { nearMm, farMm } = focusesForBlur(lens, distanceMm, blurMm);
  const mm = towards === 'near' ? nearMm : farMm;
  // a focus past infinity would need the lens nearer to the image plane than it can go
  if (Number.isFinite(mm) && mm > 0) return mm;
  return towards === 'near' ? ring.closeFocusMm : Infinity;
}

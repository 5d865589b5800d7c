import { assertInRange } from '../errors.js';
import { conjugates } from './conjugates.js';
import { type ZoneLens, zoneLimits } from './depthOfField.js';

/** Near and far limits for many distances and stops. Distance `i` and stop `k` are at index `i * fNumbers.length + k`. */
export interface ZoneTable {
  /** Tape distances; NaN where the lens can't focus (nearer than four focal lengths) */
  readonly nearMm: Float64Array;
  /** Infinity from the hyperfocal distance on; NaN as above */
  readonly farMm: Float64Array;
}

/**
 * Table of near and far limits.
 *
 * @param fNumbers - geometric f-numbers, each > 0
 * @param distancesMm - tape distances; Infinity allowed
 * @throws {CoreError} `not-a-number`, `out-of-range`
 */
export function zoneTable(
  glass: Omit<ZoneLens, 'fNumber'>,
  fNumbers: readonly number[],
  distancesMm: readonly number[],
): ZoneTable {
  const { focalLengthMm, principalSeparationMm = 0 } = glass;
  fNumbers.forEach((fNumber, k) => assertInRange(`fNumbers[${k}]`, fNumber, { above: 0 }));
  const columns = fNumbers.length;
  const nearMm = new Float64Array(distancesMm.length * columns).fill(NaN);
  const farMm = new Float64Array(distancesMm.length * columns).fill(NaN);
  const lenses = fNumbers.map((fNumber) => ({ ...glass, fNumber }));
  distancesMm.forEach((distanceMm, row) => {
    if (!(distanceMm - principalSeparationMm >= 4 * focalLengthMm)) return;
    const { objectMm, imageMm } = conjugates(focalLengthMm, distanceMm, principalSeparationMm);
    lenses.forEach((lens, k) => {
      const limits = zoneLimits(lens, objectMm, imageMm);
      nearMm[row * columns + k] = limits.nearMm;
      farMm[row * columns + k] = limits.farMm;
    });
  });
  return { nearMm, farMm };
}

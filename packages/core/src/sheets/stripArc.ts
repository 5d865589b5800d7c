import { assertInRange } from '../errors.js';

/**
 * Length of the paper strip for a turn of the ring, at 1:1.
 *
 * @param ringDeg - at least 0
 * @param ringDiameterMm - diameter where the strip lies, > 0
 * @returns mm
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * @example stripArcMm(360, 100) is 314.15…
 */
export function stripArcMm(ringDeg: number, ringDiameterMm: number): number {
  assertInRange('ringDeg', ringDeg, { min: 0 });
  assertInRange('ringDiameterMm', ringDiameterMm, { above: 0 });
  return (ringDeg / 360) * Math.PI * ringDiameterMm;
}

import { assertInRange } from '../errors.js';

/**
 * Length of the paper strip that wraps a turn of the ring, at 1:1.
 *
 * @param ringDeg - at least 0
 * @param ringDiameterMm - > 0, where the strip lies
 * @returns millimetres
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * @example stripArcMm(360, 100) is 314.15…
 */
export function stripArcMm(ringDeg: number, ringDiameterMm: number): number {
  assertInRange('ringDeg', ringDeg, { min: 0 });
  assertInRange('ringDiameterMm', ringDiameterMm, { above: 0 });
  return (ringDeg / 360) * Math.PI * ringDiameterMm;
}

import { assertInRange } from '../errors.js';

export interface ExposureChange {
  /** Positive when stopping down (less light) */
  readonly stops: number;
  /** Factor for ISO or light that keeps the exposure */
  readonly isoFactor: number;
  /** Density of the neutral-density filter that equals the change; never negative */
  readonly ndDensity: number;
}

/**
 * Effect of a change of T-stop on exposure.
 *
 * @param fromStop - T-stop, > 0
 * @param toStop - T-stop, > 0
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * Source: light is proportional to 1/N²; density is the decimal logarithm of opacity.
 * @example exposureChange(2.8, 4) is about one stop, ISO times 2.04, ND 0.31
 */
export function exposureChange(fromStop: number, toStop: number): ExposureChange {
  assertInRange('fromStop', fromStop, { above: 0 });
  assertInRange('toStop', toStop, { above: 0 });
  const stops = 2 * Math.log2(toStop / fromStop);
  return { stops, isoFactor: (toStop / fromStop) ** 2, ndDensity: Math.abs(stops) * Math.log10(2) };
}

/**
 * Geometric f-number of a T-stop.
 *
 * @param tStop - > 0
 * @param transmittance - share of light the glass transmits, above 0 up to 1
 * @example geometricStop(2.2, 0.81) is 1.98
 */
export function geometricStop(tStop: number, transmittance: number): number {
  assertInRange('tStop', tStop, { above: 0 });
  assertInRange('transmittance', transmittance, { above: 0, max: 1 });
  return tStop * Math.sqrt(transmittance);
}

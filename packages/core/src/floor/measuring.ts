import { assertInRange } from '../errors.js';
import type { MeasureMethod } from './mark.js';

/** How well a distance is known by how it was measured: one standard deviation, `shareOfDistance` of it or `atLeastMm`, whichever is more. */
export interface MethodUncertainty {
  readonly atLeastMm: number;
  readonly shareOfDistance: number;
}

/**
 * Assumptions, shown with every mark and open to correction: a tape sags and is held to a face, a laser hits a cheek in place of an eye, a judgement by eye is
 * off in proportion to the distance, a stand-in is not quite where someone will be. What is drawn is as good as the drawing.
 */
export const METHOD_UNCERTAINTY: Readonly<Record<MeasureMethod, MethodUncertainty>> = {
  tape: { atLeastMm: 10, shareOfDistance: 0.003 },
  laser: { atLeastMm: 5, shareOfDistance: 0.0005 },
  picture: { atLeastMm: 15, shareOfDistance: 0.01 },
  eye: { atLeastMm: 50, shareOfDistance: 0.1 },
  'stand-in': { atLeastMm: 40, shareOfDistance: 0.01 },
  drawn: { atLeastMm: 50, shareOfDistance: 0.02 },
};

/** One standard deviation of a distance measured so, in millimetres. */
export function measureSigmaMm(method: MeasureMethod, distanceMm: number): number {
  const { atLeastMm, shareOfDistance } = METHOD_UNCERTAINTY[method];
  return Number.isFinite(distanceMm) ? Math.max(atLeastMm, shareOfDistance * distanceMm) : atLeastMm;
}

/** The ways of measuring that a device can take over. */
export const DEVICE_METHODS = ['tape', 'laser'] as const;
export type DeviceMethod = (typeof DEVICE_METHODS)[number];

/** What can be read on a tape, and on the display of a laser. */
const READING_STEP_MM: Readonly<Record<DeviceMethod, number>> = { tape: 5, laser: 1 };

/**
 * What a device would read of a true distance: off by its noise, and rounded to what it shows.
 *
 * @param distanceMm - the true one, > 0
 * @param deviate - how many standard deviations it is off: a draw from the standard normal distribution
 * @returns at least one step of the reading
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * @example a tape at 3000 mm, 0.4 deviations off, reads 3005
 */
export function simulatedReadingMm(method: DeviceMethod, distanceMm: number, deviate: number): number {
  assertInRange('distanceMm', distanceMm, { above: 0 });
  assertInRange('deviate', deviate, {});
  const stepMm = READING_STEP_MM[method];
  const readMm = distanceMm + deviate * measureSigmaMm(method, distanceMm);
  return Math.max(Math.round(readMm / stepMm) * stepMm, stepMm);
}

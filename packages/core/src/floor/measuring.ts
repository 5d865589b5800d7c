import { assertInRange } from '../errors.js';
import type { Mark, MeasureMethod } from './mark.js';

/** Uncertainty of a measuring method, one standard deviation: `shareOfDistance` of the distance, at least `atLeastMm`. */
export interface MethodUncertainty {
  readonly atLeastMm: number;
  readonly shareOfDistance: number;
}

/**
 * Assumed values; every mark shows them and lets them be corrected. A tape sags. A laser hits a cheek instead of an eye. A
 * judgement by eye is off in proportion to the distance. A reference object stands near the subject's place, not on it. A drawn
 * distance is as good as the drawing.
 */
export const METHOD_UNCERTAINTY: Readonly<Record<MeasureMethod, MethodUncertainty>> = {
  tape: { atLeastMm: 10, shareOfDistance: 0.003 },
  laser: { atLeastMm: 5, shareOfDistance: 0.0005 },
  picture: { atLeastMm: 15, shareOfDistance: 0.01 },
  eye: { atLeastMm: 50, shareOfDistance: 0.1 },
  reference: { atLeastMm: 40, shareOfDistance: 0.01 },
  drawn: { atLeastMm: 50, shareOfDistance: 0.02 },
};

/** Largest uncertainty that a plan holds. */
export const MAX_UNCERTAINTY_MM = 5000;

/** One standard deviation of a distance measured by this method, in mm. */
export function measureSigmaMm(method: MeasureMethod, distanceMm: number): number {
  const { atLeastMm, shareOfDistance } = METHOD_UNCERTAINTY[method];
  if (!Number.isFinite(distanceMm)) return atLeastMm;
  return Math.min(Math.max(atLeastMm, shareOfDistance * distanceMm), MAX_UNCERTAINTY_MM);
}

/** Whether the uncertainty of a mark is the default of its measuring method, and not typed. */
export function hasAssumedUncertainty({ method, distanceMm, uncertaintyMm }: MeasuredMark): boolean {
  const { atLeastMm } = METHOD_UNCERTAINTY[method];
  return uncertaintyMm === atLeastMm || uncertaintyMm === measureSigmaMm(method, distanceMm ?? Infinity);
}

type MeasuredMark = Pick<Mark, 'method' | 'distanceMm' | 'uncertaintyMm'>;

/** The mark at another distance. An uncertainty that was assumed follows the distance; a typed one stays. */
export function atDistance(mark: Mark, distanceMm: number | null): Mark {
  const uncertaintyMm = hasAssumedUncertainty(mark) ? measureSigmaMm(mark.method, distanceMm ?? Infinity) : mark.uncertaintyMm;
  return { ...mark, distanceMm, uncertaintyMm };
}

/** Methods that a connected device can take over. */
export const DEVICE_METHODS = ['tape', 'laser'] as const;
export type DeviceMethod = (typeof DEVICE_METHODS)[number];

/** Smallest step that a tape, or the display of a laser, shows. */
const READING_STEP_MM: Readonly<Record<DeviceMethod, number>> = { tape: 5, laser: 1 };

/**
 * Simulated reading of a device: the true distance plus noise, rounded to the step of its display.
 *
 * @param distanceMm - true distance, > 0
 * @param deviate - error in standard deviations: a draw from the standard normal distribution
 * @returns at least one step of the display
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * @example a tape at 3000 mm with an error of 0.4 standard deviations reads 3005
 */
export function simulatedReadingMm(method: DeviceMethod, distanceMm: number, deviate: number): number {
  assertInRange('distanceMm', distanceMm, { above: 0 });
  assertInRange('deviate', deviate, {});
  const stepMm = READING_STEP_MM[method];
  const readMm = distanceMm + deviate * measureSigmaMm(method, distanceMm);
  return Math.max(Math.round(readMm / stepMm) * stepMm, stepMm);
}

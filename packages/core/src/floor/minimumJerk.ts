import { CoreError } from '../errors.js';

/**
 * Progress of a hand or body that moves smoothly from one place to another.
 *
 * @param progress - share of the time, 0 to 1; values outside are clamped
 * @returns share of the way
 * @throws {CoreError} `not-a-number`
 * Source: T. Flash and N. Hogan, The coordination of arm movements, 1985: 10τ³ - 15τ⁴ + 6τ⁵.
 * @example minimumJerk(0.5) is 0.5
 */
export function minimumJerk(progress: number): number {
  if (Number.isNaN(progress))
    throw new CoreError({ code: 'not-a-number', path: 'progress', values: { given: 'NaN', min: 0, max: 1 } });
  if (progress <= 0) return 0;
  if (progress >= 1) return 1;
  return progress * progress * progress * (10 + progress * (6 * progress - 15));
}

/** Peak speed of a minimum-jerk move over its mean speed: 30 τ² (1-τ)² at τ = 1/2. */
export const MINIMUM_JERK_PEAK = 1.875;

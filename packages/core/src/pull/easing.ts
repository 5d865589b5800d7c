import { minimumJerk, MINIMUM_JERK_PEAK } from '../floor/index.js';
import type { Easing } from './shotPlan.js';

/**
 * Progress of a pull.
 *
 * @param progress - share of its time; clamped to 0 to 1
 * @returns share of its turn, 0 to 1. Eased at one end only, it is that half of a minimum jerk: it starts or lands at peak
 * speed.
 */
export function eased(easing: Easing, progress: number): number {
  const tau = Math.min(Math.max(progress, 0), 1);
  switch (easing) {
    case 'eased':
      return minimumJerk(tau);
    case 'ease-in':
      return 2 * minimumJerk(tau / 2);
    case 'ease-out':
      return 1 - 2 * minimumJerk((1 - tau) / 2);
    case 'steady':
      return tau;
  }
}

/** Peak speed over mean speed. */
export function easingPeak(easing: Easing): number {
  return easing === 'steady' ? 1 : MINIMUM_JERK_PEAK;
}

/** Easing of the same pull played backwards. */
export function easingReversed(easing: Easing): Easing {
  return easing === 'ease-in' ? 'ease-out' : easing === 'ease-out' ? 'ease-in' : easing;
}

import { minimumJerk, MINIMUM_JERK_PEAK } from '../floor/index.js';
import type { Easing } from './shotPlan.js';

/**
 * How far along a move is.
 *
 * @param progress - share of its time; held to 0 to 1
 * @returns share of its turn, 0 to 1. Eased at one end only, it is that half of a minimum jerk, so that it begins or lands at its fastest.
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

/** Its highest speed over its mean one. */
export function easingPeak(easing: Easing): number {
  return easing === 'steady' ? 1 : MINIMUM_JERK_PEAK;
}

/** The same move played backwards. */
export function easingReversed(easing: Easing): Easing {
  return easing === 'ease-in' ? 'ease-out' : easing === 'ease-out' ? 'ease-in' : easing;
}

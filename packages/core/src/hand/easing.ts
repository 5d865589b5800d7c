import { MINIMUM_JERK_PEAK, minimumJerk } from '../floor/index.js';

/** Speed profile of a pull: smooth at both ends, at the start only, at the landing only, or constant speed. */
export const EASINGS = ['eased', 'ease-in', 'ease-out', 'steady'] as const;
export type Easing = (typeof EASINGS)[number];

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
  if (easing === 'ease-in') return 'ease-out';
  return easing === 'ease-out' ? 'ease-in' : easing;
}

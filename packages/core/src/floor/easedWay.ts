import { MINIMUM_JERK_PEAK, minimumJerk } from './minimumJerk.js';

/** Time that a person, or a camera on wheels, needs to reach a steady speed, and to stop from it. Assumed. */
const START_S = 1;

/**
 * Share of a way at a share of its time: a smooth start, a steady speed, a smooth stop. Start and stop take a second each, in the shape of
 * a minimum-jerk move. A way of two seconds or less is one minimum-jerk move.
 *
 * @param progress - share of the time; values outside 0 to 1 are clamped
 * @param durationS - > 0
 * @returns share of the way, 0 to 1
 */
export function easedWay(progress: number, durationS: number): number {
  const rampsS = 2 * START_S;
  if (durationS <= rampsS) return minimumJerk(progress);
  if (progress > 0.5) return 1 - easedWay(1 - progress, durationS);
  const speed = easedPeak(durationS) / durationS;
  const timeS = Math.max(progress, 0) * durationS;
  const rampWay = (timeOnRampS: number) => ((speed * rampsS) / MINIMUM_JERK_PEAK) * minimumJerk(timeOnRampS / rampsS);
  return timeS < START_S ? rampWay(timeS) : rampWay(START_S) + speed * (timeS - START_S);
}

/** Peak speed of an eased way over its mean speed: 1.875 up to two seconds, nearer to 1 the longer it takes. */
export function easedPeak(durationS: number): number {
  const rampsS = Math.min(2 * START_S, durationS);
  return durationS / (durationS - rampsS + rampsS / MINIMUM_JERK_PEAK);
}

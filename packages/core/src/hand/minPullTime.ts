import { MINIMUM_JERK_PEAK } from '../floor/index.js';
import type { Wheel } from '../kit/index.js';
import { type Hand, handTimeS, pullDifficultyBits } from './difficulty.js';
import { wheelTurn } from './wheelTurn.js';

/** What turns the ring: a hand with its speed limit, at a wheel or at the ring itself. */
export interface HandAtRing {
  readonly hand: Hand;
  readonly maxHandDegPerS: number;
  /** null for a hand at the ring */
  readonly wheel: Wheel | null;
}

/**
 * Minimum time of a turn of the ring, at the wheel if there is one: time to aim, and time to turn within the puller's limit.
 *
 * @param travelRingDeg - at least 0
 * @param windowRingDeg - width of the landing window, > 0
 * @param isAgainstHardStop - whether it lands against a hard stop of the wheel, where no aiming is needed
 */
export function minPullTimeS(
  { wheel, maxHandDegPerS, hand }: HandAtRing,
  travelRingDeg: number,
  windowRingDeg: number,
  isAgainstHardStop = false,
): number {
  if (travelRingDeg === 0) return 0;
  if (wheel) {
    const turn = wheelTurn(wheel, { travelDeg: travelRingDeg, windowDeg: windowRingDeg }, maxHandDegPerS, hand);
    return isAgainstHardStop ? (turn.betweenStopsS ?? turn.minTimeS) : turn.minTimeS;
  }
  return Math.max(
    handTimeS(pullDifficultyBits(travelRingDeg, windowRingDeg), hand),
    (MINIMUM_JERK_PEAK * travelRingDeg) / maxHandDegPerS,
  );
}

import { MINIMUM_JERK_PEAK } from '../floor/index.js';
import { handTimeS, pullDifficultyBits } from './difficulty.js';
import { wheelTurn } from './gears.js';
import type { ShotPlan } from './shotPlan.js';

/**
 * Minimum time of a turn of the ring, at the wheel if there is one: time to aim, and time to turn within the puller's limit.
 *
 * @param travelRingDeg - at least 0
 * @param windowRingDeg - width of the landing window, > 0
 * @param againstStop - whether it lands against a hard stop of the wheel, where no aiming is needed
 */
export function leastMoveS(
  { wheel, handDegPerS, hand }: Pick<ShotPlan, 'wheel' | 'handDegPerS' | 'hand'>,
  travelRingDeg: number,
  windowRingDeg: number,
  againstStop = false,
): number {
  if (travelRingDeg === 0) return 0;
  if (wheel) {
    const turn = wheelTurn(wheel, travelRingDeg, windowRingDeg, handDegPerS, hand);
    return againstStop ? (turn.betweenStopsS ?? turn.leastS) : turn.leastS;
  }
  return Math.max(
    handTimeS(pullDifficultyBits(travelRingDeg, windowRingDeg), hand),
    (MINIMUM_JERK_PEAK * travelRingDeg) / handDegPerS,
  );
}

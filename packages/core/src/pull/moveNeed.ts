import { MINIMUM_JERK_PEAK } from '../floor/index.js';
import { handTimeS, pullDifficultyBits } from './difficulty.js';
import { wheelTurn } from './gears.js';
import type { ShotPlan } from './shotPlan.js';

/**
 * The least time a hand needs for a turn of the ring, at the wheel where there is one: to aim, and to turn no faster than whoever pulls is willing to.
 *
 * @param travelRingDeg - at least 0
 * @param windowRingDeg - of what counts as landed, > 0
 * @param againstStop - whether it lands against a hard stop of the wheel, where nothing need be aimed at
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

import type { Wheel } from '../kit/index.js';
import { handTimeS, pullDifficultyBits } from './difficulty.js';
import { wheelTurn } from './gears.js';

/**
 * The least time a hand needs for a turn of the ring, at the wheel where there is one.
 *
 * @param travelRingDeg - at least 0
 * @param windowRingDeg - of what counts as landed, > 0
 */
export function leastMoveS(wheel: Wheel | null, travelRingDeg: number, windowRingDeg: number): number {
  if (travelRingDeg === 0) return 0;
  return wheel
    ? wheelTurn(wheel, travelRingDeg, windowRingDeg).leastS
    : handTimeS(pullDifficultyBits(travelRingDeg, windowRingDeg));
}

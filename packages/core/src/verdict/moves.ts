import { breathingBetween, type LensRing } from '../kit/index.js';
import { MINIMUM_JERK_PEAK } from '../floor/index.js';
import {
  type FocusLine,
  gradeMove,
  landingWindow,
  leastMoveS,
  pullDifficultyBits,
  type ShotPlan,
  wheelTurn,
  zoneLensAt,
} from '../pull/index.js';
import type { MoveVerdict } from './pullVerdict.js';

/** Each rack as a hand meets it: travel, window at the landing, difficulty, time needed against time there is. */
export function judgeMoves(
  line: FocusLine,
  ring: LensRing,
  { optics, wheel }: Pick<ShotPlan, 'optics' | 'wheel'>,
): MoveVerdict[] {
  return line.moves.map((move) => {
    const { from, to } = move;
    const travelDeg = Math.abs(to.ringDeg - from.ringDeg);
    const window = landingWindow(zoneLensAt(optics, move.endS), ring, to.distanceMm);
    const bits = pullDifficultyBits(travelDeg, window.widthDeg);
    const availableS = move.endS - move.startS;
    const atWheel = wheel && wheelTurn(wheel, travelDeg, window.widthDeg);
    const neededS = leastMoveS(wheel, travelDeg, window.widthDeg);
    return {
      ...move,
      travelDeg,
      towards: travelDeg === 0 ? 'nowhere' : to.distanceMm < from.distanceMm ? 'near' : 'far',
      windowDeg: window.widthDeg,
      nearRoomDeg: Math.abs(window.nearSideDeg),
      farRoomDeg: Math.abs(window.farSideDeg),
      bits,
      breathingPercent: breathingBetween(optics.lens, from.distanceMm, to.distanceMm),
      wheel: atWheel,
      neededS,
      availableS,
      grade: neededS === 0 ? 'comfortable' : gradeMove(availableS, neededS),
      peakDegPerS: (MINIMUM_JERK_PEAK * travelDeg) / availableS,
    };
  });
}

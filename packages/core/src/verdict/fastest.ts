import { wheelDegOf } from '../kit/index.js';
import type { ShotPlan } from '../pull/index.js';
import type { JudgedPull, MoveVerdict } from './pullVerdict.js';

/** Faster than whoever pulls is willing to turn, by more than the last digit. */
export function isTooFast({ handDegPerS, limitDegPerS }: JudgedPull['fastest']): boolean {
  return handDegPerS > limitDegPerS * (1 + 1e-6);
}

/**
 * Where what the hand holds turns fastest: from frame to frame where the line goes on with something, and within a move at its
 * own peak. A ring in steps is pressed, not turned.
 */
export function fastestOf(
  ringDeg: Float64Array,
  moves: readonly MoveVerdict[],
  { wheel, captureFps, handDegPerS, optics }: ShotPlan,
): JudgedPull['fastest'] {
  let [timeS, peakDegPerS] = [0, 0];
  if (optics.lens.response !== 'steps') {
    for (let frame = 1; frame < ringDeg.length; frame++) {
      const degPerS = Math.abs(ringDeg[frame]! - ringDeg[frame - 1]!) * captureFps;
      if (degPerS > peakDegPerS) [timeS, peakDegPerS] = [frame / captureFps, degPerS];
    }
    for (const move of moves)
      if (move.peakDegPerS > peakDegPerS) [timeS, peakDegPerS] = [(move.startS + move.endS) / 2, move.peakDegPerS];
  }
  return { timeS, handDegPerS: Math.abs(wheelDegOf(wheel, peakDegPerS)), limitDegPerS: handDegPerS };
}

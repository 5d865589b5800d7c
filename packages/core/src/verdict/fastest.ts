import { wheelDegOf } from '../kit/index.js';
import type { ShotPlan } from '../pull/index.js';
import type { JudgedPull, MoveVerdict } from './pullVerdict.js';

/** Whether the peak speed exceeds the puller's limit, with a tolerance for rounding. */
export function isTooFast({ handDegPerS, limitDegPerS }: JudgedPull['fastest']): boolean {
  return handDegPerS > limitDegPerS * (1 + 1e-6);
}

/**
 * Peak speed of the wheel or ring: between frames while tracking, and at the peak of each pull. A ring in steps is pressed, not
 * turned, and has no speed.
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

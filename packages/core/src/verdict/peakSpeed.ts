import { wheelDegOf } from '../kit/index.js';
import type { ShotPlan } from '../plan/index.js';
import type { CompleteVerdict, PullAssessment } from './pullVerdict.js';

/** Whether the peak speed exceeds the puller's limit, with a tolerance for rounding. */
export function exceedsHandLimit({ maxHandDegPerS, limitDegPerS }: CompleteVerdict['fastest']): boolean {
  return maxHandDegPerS > limitDegPerS * (1 + 1e-6);
}

/**
 * Speed of the wheel, or of the ring without one, from the frame before to each frame: degrees per second, never negative. A ring in steps has
 * none.
 *
 * @param ringDeg - ring angle by frame
 */
export function handSpeeds(ringDeg: Float64Array, { wheel, captureFps, optics }: ShotPlan): Float64Array {
  if (optics.lens.response === 'steps') return new Float64Array(ringDeg.length);
  return ringDeg.map((deg, frame) => (frame === 0 ? 0 : Math.abs(wheelDegOf(wheel, (deg - ringDeg[frame - 1]!) * captureFps))));
}

/**
 * Peak speed of the wheel or ring: between frames while tracking, and at the peak of each pull. A ring in steps is pressed, not
 * turned, and has no speed.
 */
export function peakSpeedOf(
  ringDeg: Float64Array,
  pulls: readonly PullAssessment[],
  { wheel, captureFps, maxHandDegPerS, optics }: ShotPlan,
): CompleteVerdict['fastest'] {
  let [timeS, peakDegPerS] = [0, 0];
  if (optics.lens.response !== 'steps') {
    for (let frame = 1; frame < ringDeg.length; frame++) {
      const degPerS = Math.abs(ringDeg[frame]! - ringDeg[frame - 1]!) * captureFps;
      if (degPerS > peakDegPerS) [timeS, peakDegPerS] = [frame / captureFps, degPerS];
    }
    for (const pull of pulls)
      if (pull.peakDegPerS > peakDegPerS) [timeS, peakDegPerS] = [(pull.startS + pull.endS) / 2, pull.peakDegPerS];
  }
  return { timeS, maxHandDegPerS: Math.abs(wheelDegOf(wheel, peakDegPerS)), limitDegPerS: maxHandDegPerS };
}

import { frameAtOrAfter } from '../units/index.js';
import type { Beat } from './shotPlan.js';

/** Frame range of a beat: first frame, and first frame after it. */
export function beatFrames(beat: Beat, captureFps: number, frameCount: number): { fromFrame: number; toFrame: number } {
  return {
    fromFrame: Math.min(frameAtOrAfter(beat.fromS, captureFps), frameCount),
    toFrame: Math.min(frameAtOrAfter(beat.toS, captureFps), frameCount),
  };
}

/** Frame of the key moment, within the beat; null for a beat without one, or one that requires nothing. */
export function keyFrameOf(beat: Beat, captureFps: number, frameCount: number): number | null {
  if (beat.keyMomentS === null || beat.requirement === 'none') return null;
  const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
  if (toFrame <= fromFrame) return null;
  return Math.min(Math.max(Math.floor(beat.keyMomentS * captureFps + 1e-6), fromFrame), toFrame - 1);
}

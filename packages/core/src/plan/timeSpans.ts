import { frameCount as countFrames } from '../units/index.js';
import type { ShotPlan } from './shotPlan.js';

/** A span of a shot, from its first frame to the end of its last. */
export interface TimeSpan {
  readonly fromS: number;
  readonly untilS: number;
}

/**
 * Runs of frames for which a condition holds, as time spans. A run that includes the last frame ends with the shot.
 *
 * @param holds - called once per frame, in order
 */
export function spansWhere(
  { captureFps, durationS }: Pick<ShotPlan, 'captureFps' | 'durationS'>,
  holds: (frame: number) => boolean,
): TimeSpan[] {
  const frames = countFrames(durationS, captureFps);
  const spans: TimeSpan[] = [];
  let from = -1;
  for (let frame = 0; frame <= frames; frame++) {
    const isIn = frame < frames && holds(frame);
    if (isIn && from < 0) from = frame;
    if (!isIn && from >= 0) {
      spans.push({ fromS: from / captureFps, untilS: frame === frames ? durationS : frame / captureFps });
      from = -1;
    }
  }
  return spans;
}

import { exactFps, frameOfTimecode, isDropFrame, timecodeOf } from '../../roll/index.js';
import { formatTime } from '../../units/index.js';
import type { UsableSpan } from '../judgeTake.js';
import type { Take } from '../take.js';

/** A span of a take in the camera's timecode, or in seconds from its start if there is none. */
export function spanWords({ fromS, toS }: UsableSpan, { startTimecode, gear }: Pick<Take, 'startTimecode' | 'gear'>): string {
  const start = frameOfTimecode(startTimecode, gear.captureFps);
  const at = (seconds: number) =>
    start === null
      ? formatTime(seconds)
      : timecodeOf(start + Math.round(seconds * exactFps(gear.captureFps)), gear.captureFps, isDropFrame(startTimecode));
  return `${at(fromS)} – ${at(toS)}`;
}

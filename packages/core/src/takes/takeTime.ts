import { exactFps, frameOfTimecode, isDropFrame, timecodeOf } from '../roll/index.js';
import { formatTime } from '../units/index.js';
import type { Take } from './take.js';

type Timed = Pick<Take, 'startTimecode' | 'gear' | 'durationS'>;

/**
 * Reads a time of a take: seconds from its start, or its timecode.
 *
 * @param text - `4.5`, `4.5 s`, or `10:00:04:12` for a take that has a timecode
 * @returns seconds within the take; null for anything else
 */
export function readTakeTime(text: string, { startTimecode, gear, durationS }: Timed): number | null {
  const timeS = text.includes(':') ? secondsOf(text, startTimecode, gear.captureFps) : plainSeconds(text);
  return timeS !== null && timeS >= 0 && timeS <= durationS + 1 / gear.captureFps ? Math.min(timeS, durationS) : null;
}

/** A time of a take as `readTakeTime` reads it: its timecode, or seconds if it has none. */
export function takeTimeText(timeS: number, { startTimecode, gear: { captureFps } }: Omit<Timed, 'durationS'>): string {
  const start = frameOfTimecode(startTimecode, captureFps);
  if (start === null) return formatTime(timeS);
  return timecodeOf(start + Math.round(timeS * exactFps(captureFps)), captureFps, isDropFrame(startTimecode));
}

function plainSeconds(text: string): number | null {
  const [, figure] = /^\s*(\d+(?:[.,]\d+)?)\s*s?\s*$/.exec(text) ?? [];
  return figure === undefined ? null : Number(figure.replace(',', '.'));
}

function secondsOf(text: string, startTimecode: string, captureFps: number): number | null {
  const start = frameOfTimecode(startTimecode, captureFps);
  const at = frameOfTimecode(text.trim(), captureFps);
  return start === null || at === null ? null : (at - start) / exactFps(captureFps);
}

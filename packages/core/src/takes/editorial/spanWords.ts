import type { UsableSpan } from '../usableSpan.js';
import type { Take } from '../take.js';
import { takeTimeText } from '../takeTime.js';

/** A span of a take in the camera's timecode, or in seconds from its start if there is none. */
export function spanWords({ fromS, toS }: UsableSpan, take: Pick<Take, 'startTimecode' | 'gear'>): string {
  return `${takeTimeText(fromS, take)} – ${takeTimeText(toS, take)}`;
}

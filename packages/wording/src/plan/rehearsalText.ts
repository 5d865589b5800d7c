import { formatTime, type RehearsalEvent, type RehearsedPlan, type ShotPlan } from '@still-heron/core';
import { capital } from '../capital.js';
import { markLetter, subjectName } from '../names.js';

/** An event to tap: "Ines comes to B", "the pull to B starts", or the words of the cue. */
export function rehearsalEventText(plan: ShotPlan, { event, markId }: RehearsalEvent): string {
  if (event.kind === 'cue') {
    const cue = plan.focusTrack.pulls.find(({ id }) => id === event.pullId)?.cue;
    return cue || `the pull${markId === null ? '' : ` to ${markLetter(plan, markId)}`} starts`;
  }
  const place = markLetter(plan, markId ?? '');
  return `${subjectName(plan, event.subjectId)} ${event.kind === 'arrives' ? `comes to ${place}` : `leaves ${place}`}`;
}

/**
 * An event that can't be at its rehearsed time: "The pull to A starts: rehearsed at 4.2 s, but it can only be at 5.0 s, after the event
 * before it."
 */
export function limitedText(plan: ShotPlan, { meanS, nowS, ...event }: RehearsedPlan['limited'][number]): string {
  const side = nowS > meanS! ? 'after the event before it' : 'before the event after it';
  return `${capital(rehearsalEventText(plan, event))}: rehearsed at ${formatTime(meanS!)}, but it can only be at ${formatTime(nowS)}, ${side}.`;
}

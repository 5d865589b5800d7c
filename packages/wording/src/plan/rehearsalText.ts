import type { RehearsalEvent, ShotPlan } from '@still-heron/core';
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

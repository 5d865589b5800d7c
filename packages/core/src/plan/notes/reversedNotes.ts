import { LOCAL_RULES, type PlanNote } from './planNotes.js';
import type { ShotPlan } from '../shotPlan.js';

/** Notes about a shot that is played backwards: what reveals it, how people must move, and which cues come after their pull. */
export function reversedNotes(plan: ShotPlan): PlanNote[] {
  if (!plan.isReversed) return [];
  const moves = plan.subjects.some(({ stays }) => stays.length > 1);
  const cued = plan.focusTrack.pulls.some(({ trigger }) => trigger !== 'clock');
  const notes: PlanNote[] = [
    {
      code: 'reversed',
      kind: 'warning',
      text: `Shot reversed: everything here is as it is shot, and the edit plays it backwards. Speech, smoke, water, hair, cloth and whatever falls give it away${cued ? '; a cue by what happens comes after its pull' : ''}.`,
    },
  ];
  if (moves)
    notes.push({
      code: 'reversed-walk',
      kind: 'caution',
      text: `People walk backward in it: a cleared path and a spotter. ${LOCAL_RULES}`,
    });
  return notes;
}

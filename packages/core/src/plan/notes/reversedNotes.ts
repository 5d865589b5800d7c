import type { PlanNote } from './planNote.js';
import type { ShotPlan } from '../shotPlan.js';

/** Notes about a shot that is played backwards: what reveals it, how people must move, and which cues come after their pull. */
export function reversedNotes(plan: ShotPlan): PlanNote[] {
  if (!plan.isReversed) return [];
  const moves = plan.subjects.some(({ stays }) => stays.length > 1);
  const cued = plan.focusTrack.pulls.some(({ trigger }) => trigger !== 'clock');
  return [
    { code: 'reversed', kind: 'warning', hasCues: cued },
    ...(moves ? [{ code: 'reversed-walk', kind: 'caution' } as const] : []),
  ];
}

import { commonOffset, isReadOff, markRead, marksOffTheRing } from '../readings.js';
import type { ShotPlan } from '../shotPlan.js';
import type { PlanNote } from './planNote.js';

/** Notes about marks that were read off the ring. */
export function readingNotes(plan: ShotPlan): PlanNote[] {
  const notes: PlanNote[] = [];
  const lost = marksOffTheRing(plan).map(({ letter }) => letter);
  if (lost.length > 0) notes.push({ code: 'off-the-ring', kind: 'warning', letters: lost });
  const offset = commonOffset(plan);
  if (offset) notes.push({ code: 'readings-off', kind: 'warning', offset });
  const assumed = plan.marks.filter((mark) => isReadOff(mark) && markRead(plan, mark)?.by === 'assumed-ring');
  if (assumed.length > 0) notes.push({ code: 'assumed-ring', kind: 'hint', letters: assumed.map(({ letter }) => letter) });
  return notes;
}

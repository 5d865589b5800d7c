import { hardStopsOf, markAngles, MAX_HARD_STOPS, neededMarkIds } from '../hardStops.js';
import type { PlanNote } from './planNote.js';
import { staleCause } from '../staleMarks.js';
import type { ShotPlan } from '../shotPlan.js';

/** Notes about hard stops set at marks: at most two, on a wheel that has them, with every required mark between them. */
export function hardStopNotes(plan: ShotPlan): PlanNote[] {
  const stops = plan.marks.filter(({ hasHardStop }) => hasHardStop);
  if (stops.length === 0) return [];
  const letters = stops.map(({ letter }) => letter);
  const notes: PlanNote[] = [];
  if (!plan.wheel?.hasEndStops)
    notes.push({ code: 'stops-without-wheel', kind: 'warning', letters, wheel: plan.wheel?.name ?? null });
  if (stops.length > MAX_HARD_STOPS) notes.push({ code: 'too-many-stops', kind: 'warning', letters });
  if (stops.some((mark) => staleCause(plan, mark) !== null)) notes.push({ code: 'stops-stale', kind: 'warning' });
  const outside = lettersOutside(plan);
  if (outside.length > 0) notes.push({ code: 'outside-stops', kind: 'warning', letters: outside, stops: letters });
  return notes;
}

/** Letters of marks that are needed in the shot and lie beyond a hard stop. */
function lettersOutside(plan: ShotPlan): string[] {
  const stops = hardStopsOf(plan);
  const needed = new Set(neededMarkIds(plan));
  const degOf = markAngles(plan);
  const isBeyond = (deg: number) =>
    stops.some(({ ringDeg, bounds }) => (bounds === 'low' ? deg < ringDeg - 1e-9 : deg > ringDeg + 1e-9));
  return plan.marks.filter(({ id }) => needed.has(id) && isBeyond(degOf(id))).map(({ letter }) => letter);
}

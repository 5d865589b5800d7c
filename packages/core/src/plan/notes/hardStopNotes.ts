import type { Mark } from '../../floor/index.js';
import { ringOf, withinReach } from '../../kit/index.js';
import { planDistances } from '../planDistances.js';
import type { PlanNote } from './planNote.js';
import { activeBeats, type ShotPlan } from '../shotPlan.js';

/** Notes about hard stops set at marks: at most two, on a wheel that has them, with every required mark between them. */
export function hardStopNotes(plan: ShotPlan): PlanNote[] {
  const stops = plan.marks.filter(({ hasHardStop }) => hasHardStop);
  if (stops.length === 0) return [];
  const letters = stops.map(({ letter }) => letter);
  const notes: PlanNote[] = [];
  if (!plan.wheel?.hasEndStops)
    notes.push({ code: 'stops-without-wheel', kind: 'warning', letters, wheel: plan.wheel?.name ?? null });
  if (stops.length > 2) notes.push({ code: 'too-many-stops', kind: 'warning', letters });
  if (stops.some(({ stale }) => stale !== null)) notes.push({ code: 'stops-stale', kind: 'warning' });
  if (stops.length === 2) {
    const outside = marksOutside(plan, stops);
    if (outside.length > 0)
      notes.push({ code: 'outside-stops', kind: 'warning', letters: outside.map(({ letter }) => letter), stops: letters });
  }
  return notes;
}

/** Marks that are needed in the shot and lie outside two hard stops. */
function marksOutside(plan: ShotPlan, stops: readonly Mark[]): Mark[] {
  const ring = ringOf(plan.optics.lens);
  const { markFocusMm } = planDistances(plan);
  const degOf = (markId: string) => ring.angleAt(withinReach(ring, markFocusMm.get(markId)!));
  const ends = stops.map(({ id }) => degOf(id));
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const sharp = new Set(
    activeBeats(plan)
      .filter(({ requirement }) => requirement === 'sharp')
      .map(({ subjectId }) => subjectId),
  );
  return plan.marks.filter(({ id, subjectId }) => {
    const isTarget = plan.focusTrack.pulls.some(({ target }) => target.kind === 'mark' && target.markId === id);
    const deg = degOf(id);
    return (isTarget || (subjectId !== null && sharp.has(subjectId))) && (deg < low - 1e-9 || deg > high + 1e-9);
  });
}

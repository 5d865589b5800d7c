import { ringOf, withinReach } from '../../kit/index.js';
import { planDistances } from '../planDistances.js';
import type { PlanNote } from './planNotes.js';
import { activeBeats, type ShotPlan } from '../shotPlan.js';

/** Notes about hard stops set at marks: at most two, on a wheel that has them, with every required mark between them. */
export function hardStopNotes(plan: ShotPlan): PlanNote[] {
  const stops = plan.marks.filter(({ hasHardStop }) => hasHardStop);
  if (stops.length === 0) return [];
  const letters = stops.map(({ letter }) => letter).join(' and ');
  const notes: PlanNote[] = [];
  const say = (code: string, text: string) => notes.push({ code, kind: 'warning', text });
  if (!plan.wheel?.hasEndStops)
    say(
      'stops-without-wheel',
      `Hard stops are requested at ${letters}, and ${plan.wheel?.name ?? 'the ring by itself'} has none to set.`,
    );
  if (stops.length > 2) say('too-many-stops', `Hard stops are requested at ${letters}: a wheel has two.`);
  if (stops.some(({ stale }) => stale !== null))
    say('stops-stale', 'The hard stops were set before something changed: set them again when the marks are measured.');
  if (stops.length === 2) {
    const ring = ringOf(plan.optics.lens);
    const { markFocusMm } = planDistances(plan);
    const degOf = (markId: string) => ring.angleAt(withinReach(ring, markFocusMm.get(markId)!));
    const ends = stops.map(({ id }) => degOf(id));
    const [low, high] = [Math.min(...ends), Math.max(...ends)];
    const needed = new Set(
      activeBeats(plan)
        .filter(({ requirement: kind }) => kind === 'sharp')
        .map(({ subjectId }) => subjectId),
    );
    const outside = plan.marks.filter(({ id, subjectId }) => {
      const isGoneTo = plan.focusTrack.pulls.some(({ target }) => target.kind === 'mark' && target.markId === id);
      const deg = degOf(id);
      return (isGoneTo || (subjectId !== null && needed.has(subjectId))) && (deg < low - 1e-9 || deg > high + 1e-9);
    });
    if (outside.length > 0)
      say(
        'outside-stops',
        `${outside.map(({ letter }) => letter).join(', ')} ${outside.length === 1 ? 'lies' : 'lie'} outside the hard stops at ${letters}: the wheel does not get there.`,
      );
  }
  return notes;
}

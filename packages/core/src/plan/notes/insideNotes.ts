import { meetsAt, nextAtMark, solidOfLandmark } from '../../floor/index.js';
import type { ShotPlan } from '../shotPlan.js';
import type { PlanNote } from './planNote.js';

/** A note for each drawn mark at which the point of focus lies inside a thing on the set. */
export function insideNotes(plan: ShotPlan): PlanNote[] {
  const landmarks = plan.floor?.landmarks ?? [];
  return plan.marks.flatMap((mark): PlanNote[] => {
    const { place } = mark;
    if (place === null) return [];
    const point = { ...place, heightMm: nextAtMark(plan.subjects, mark, 0).heightMm };
    // a line straight up from a point inside begins inside
    const thing = landmarks.find(
      (landmark) => meetsAt(solidOfLandmark(landmark), point, { ...point, heightMm: point.heightMm + 1 }) === 0,
    );
    return thing ? [{ code: 'stands-inside', kind: 'warning', letter: mark.letter, thing: thing.name }] : [];
  });
}

import { isDeepEqual } from '../../deepEqual.js';
import { type Mark, markDistances } from '../../floor/index.js';
import type { ShotPlan } from '../shotPlan.js';
import { matchItems } from './itemDifferences.js';

/** A mark that was added or removed, or what changed on it; `other` is everything but its letter and distance. */
export interface MarkDifference {
  readonly kind: 'mark';
  readonly markId: string;
  readonly change: 'added' | 'removed' | 'letter' | 'distance' | 'other';
}

export function markDifferences(before: ShotPlan, after: ShotPlan): MarkDifference[] {
  const [was, is] = [markDistances(before.marks), markDistances(after.marks)];
  const { added, removed, kept } = matchItems(before.marks, after.marks);
  const difference = (change: MarkDifference['change']) => (mark: Mark) => ({ kind: 'mark', markId: mark.id, change }) as const;
  const changesOf = (old: Mark, mark: Mark): MarkDifference['change'][] => [
    ...(old.letter === mark.letter ? [] : ['letter' as const]),
    ...(was.get(old.id) === is.get(mark.id) ? [] : ['distance' as const]),
    ...(isDeepEqual(others(old), others(mark)) ? [] : ['other' as const]),
  ];
  return [
    ...added.map(difference('added')),
    ...removed.map(difference('removed')),
    ...kept.flatMap(([old, mark]) => changesOf(old, mark).map((change) => difference(change)(mark))),
  ];
}

function others({ distanceMm: _distance, letter: _letter, ...rest }: Mark): object {
  return rest;
}

import { isDeepEqual } from '../../deepEqual.js';
import type { Beat, ShotPlan } from '../shotPlan.js';
import { matchItems } from './itemDifferences.js';

/** A beat that was added or removed, or what changed on it: `span` is its subject, requirement and times. */
export interface BeatDifference {
  readonly kind: 'beat';
  readonly beatId: string;
  readonly change: 'added' | 'removed' | 'span' | 'other';
}

export function beatDifferences(before: ShotPlan, after: ShotPlan): BeatDifference[] {
  const { added, removed, kept } = matchItems(before.beats, after.beats);
  const difference = (change: BeatDifference['change']) => (beat: Beat) => ({ kind: 'beat', beatId: beat.id, change }) as const;
  return [
    ...added.map(difference('added')),
    ...removed.map(difference('removed')),
    ...kept.flatMap(([was, is]) => changesOf(was, is).map((change) => difference(change)(is))),
  ];
}

function changesOf(was: Beat, is: Beat): BeatDifference['change'][] {
  const split = ({ fromS, toS, requirement, subjectId, ...other }: Beat) => ({
    span: { fromS, toS, requirement, subjectId },
    other,
  });
  return (['span', 'other'] as const).filter((part) => !isDeepEqual(split(was)[part], split(is)[part]));
}

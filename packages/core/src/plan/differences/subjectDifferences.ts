import { isDeepEqual } from '../../deepEqual.js';
import type { Subject } from '../../floor/index.js';
import type { ShotPlan } from '../shotPlan.js';
import { matchItems } from './itemDifferences.js';

/** A subject that was added or removed, or what changed on it; `other` are its timing, its misses and its height. */
export interface SubjectDifference {
  readonly kind: 'subject';
  readonly subjectId: string;
  readonly change: 'added' | 'removed' | 'name' | 'detail' | 'stays' | 'other';
}

export function subjectDifferences(before: ShotPlan, after: ShotPlan): SubjectDifference[] {
  const { added, removed, kept } = matchItems(before.subjects, after.subjects);
  const difference = (change: SubjectDifference['change']) => (subject: Subject) =>
    ({ kind: 'subject', subjectId: subject.id, change }) as const;
  return [
    ...added.map(difference('added')),
    ...removed.map(difference('removed')),
    ...kept.flatMap(([was, is]) => changesOf(was, is).map((change) => difference(change)(is))),
  ];
}

function changesOf(was: Subject, is: Subject): SubjectDifference['change'][] {
  const others = ({ stays: _stays, name: _name, detail: _detail, ...rest }: Subject) => rest;
  return [
    ...(was.name === is.name ? [] : ['name' as const]),
    ...(was.detail === is.detail ? [] : ['detail' as const]),
    ...(isDeepEqual(was.stays, is.stays) ? [] : ['stays' as const]),
    ...(isDeepEqual(others(was), others(is)) ? [] : ['other' as const]),
  ];
}

import {
  formatDistance,
  type FocusTarget,
  formatTime,
  type Hider,
  type Pull,
  type ShotPlan,
  type Subject,
  type SubjectKind,
  type UnitSystem,
} from '@still-heron/core';

/** Mark letter of a target, or its description if it has no mark. */
export function targetName(target: FocusTarget, plan: ShotPlan, units: UnitSystem): string {
  switch (target.kind) {
    case 'mark':
      return markLetter(plan, target.markId);
    case 'distance':
      return formatDistance(target.distanceMm ?? Infinity, units);
    case 'blur':
      return `soft ${target.towards === 'near' ? 'in front of' : 'behind'} ${markLetter(plan, target.markId)}`;
    case 'subject':
      return subjectName(plan, target.subjectId);
    case 'course':
      return 'the course';
  }
}

/** Where a pull goes: "C"; of several pulls to the same target, with its start: "C at 9.0 s". */
export function pullTargetName({ target, startS }: Pull, plan: ShotPlan, units: UnitSystem): string {
  const name = targetName(target, plan, units);
  const same = plan.focusTrack.pulls.filter((pull) => targetName(pull.target, plan, units) === name);
  return same.length > 1 ? `${name} at ${formatTime(startS)}` : name;
}

export function subjectName(plan: Pick<ShotPlan, 'subjects'>, subjectId: string): string {
  return plan.subjects.find((subject) => subject.id === subjectId)?.name ?? 'a subject';
}

/** Name of what hides a subject. */
export function hiderName({ subjects, floor }: Pick<ShotPlan, 'subjects' | 'floor'>, { kind, id }: Hider): string {
  const things: readonly { readonly id: string; readonly name: string }[] =
    kind === 'subject' ? subjects : (floor?.landmarks ?? []);
  return things.find((thing) => thing.id === id)?.name ?? 'something';
}

export function markLetter(plan: Pick<ShotPlan, 'marks'>, markId: string): string {
  return plan.marks.find((mark) => mark.id === markId)?.letter ?? 'a mark';
}

/** Said when a new subject gets the name of one that is there. */
export function sameNameText({ name, kind }: Pick<Subject, 'name' | 'kind'>): string {
  return kind === 'object'
    ? `${name} is in this shot already. An object has one mark.`
    : `${name} is in this shot already. Somebody with two marks walks from the first to the second.`;
}

/** Kinds of subjects, as offered in a list. */
export const SUBJECT_KIND_WORDS: Readonly<Record<SubjectKind, string>> = {
  person: 'person, or moved by one',
  object: 'object that stands still',
};

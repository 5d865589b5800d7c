import { formatDistance, type FocusTarget, markFocusMm, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { targetName } from '@still-heron/wording';
import { plainMm } from './dragTargets';

/** Choices for a focus target: marks, subjects to follow, a blur, a distance, and the current course. */
export function targetChoices(target: FocusTarget, plan: ShotPlan, units: UnitSystem): { value: string; label: string }[] {
  const walkers = plan.subjects.filter(({ stays }) => stays.length > 0);
  return [
    ...plan.marks.map(({ id, letter }) => ({
      value: `mark ${id}`,
      label: `${letter} · ${formatDistance(markFocusMm(plan, id), units)}`,
    })),
    ...walkers.map(({ id, name }) => ({ value: `subject ${id}`, label: `follow ${name}` })),
    ...(plan.marks.length > 0 ? [{ value: 'blur', label: 'to a blur' }] : []),
    { value: 'distance', label: 'a distance' },
    ...(target.kind === 'course' ? [{ value: 'course', label: targetName(target, plan, units) }] : []),
  ];
}

/** Choice that corresponds to a target. */
export function choiceOf(target: FocusTarget): string {
  if (target.kind === 'mark') return `mark ${target.markId}`;
  return target.kind === 'subject' ? `subject ${target.subjectId}` : target.kind;
}

/** Default blur in percent of the picture's width. */
const DEFAULT_BLUR_PERCENT = 2;

/** Target for a choice, keeping as much as possible of the previous one. */
export function targetOf(choice: string, was: FocusTarget, plan: ShotPlan): FocusTarget {
  const [kind, id] = choice.split(' ') as [string, string | undefined];
  if (kind === 'mark') return { kind: 'mark', markId: id! };
  if (kind === 'subject') return { kind: 'subject', subjectId: id!, leadS: was.kind === 'subject' ? was.leadS : 0 };
  if (kind === 'course') return was;
  if (kind === 'blur') {
    const markId = was.kind === 'mark' || was.kind === 'blur' ? was.markId : plan.marks[0]!.id;
    return { kind: 'blur', markId, blurPercent: DEFAULT_BLUR_PERCENT, towards: 'near' };
  }
  const mm = plainMm(was, plan) ?? (plan.marks[0] ? markFocusMm(plan, plan.marks[0].id) : 3000);
  return { kind: 'distance', distanceMm: mm === Infinity ? null : mm };
}

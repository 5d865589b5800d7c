import { formatDistance, type UnitSystem } from '../units/index.js';
import type { FocusTarget, ShotPlan } from './shotPlan.js';

/** Mark letter of a target, or its description if it has no mark. */
export function targetName(target: FocusTarget, plan: ShotPlan, units: UnitSystem): string {
  const letterOf = (markId: string) => plan.marks.find((mark) => mark.id === markId)?.letter ?? 'a mark';
  switch (target.kind) {
    case 'mark':
      return letterOf(target.markId);
    case 'distance':
      return formatDistance(target.distanceMm ?? Infinity, units);
    case 'blur':
      return `soft ${target.towards === 'near' ? 'before' : 'behind'} ${letterOf(target.markId)}`;
    case 'subject':
      return subjectName(plan, target.subjectId);
    case 'course':
      return 'the course';
  }
}

export function subjectName(plan: ShotPlan, subjectId: string): string {
  return plan.subjects.find((subject) => subject.id === subjectId)?.name ?? 'someone';
}

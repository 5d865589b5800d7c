import type { FocusLinePlan, LineTarget, ShotPlan } from '../shotPlan.js';
import { planDistances } from '../planDistances.js';

/** Changes all focus targets of a plan, in both alternates. */
export function withTargets(plan: ShotPlan, change: (target: LineTarget) => LineTarget): ShotPlan {
  const inLine = ({ start, moves }: FocusLinePlan): FocusLinePlan => ({
    start: start && change(start),
    moves: moves.map((move) => ({ ...move, target: change(move.target) })),
  });
  return {
    ...plan,
    line: inLine(plan.line),
    alternates: plan.alternates && { ...plan.alternates, other: inLine(plan.alternates.other) },
  };
}

/** Replaces targets at a mark, or at a blur beside it, by a plain distance. */
export function freeOfMark(plan: ShotPlan, markId: string, distanceMm: number | null): ShotPlan {
  return withTargets(plan, (target) =>
    (target.kind === 'mark' || target.kind === 'blur') && target.markId === markId ? { kind: 'distance', distanceMm } : target,
  );
}

/** Replaces targets on a subject by the distance of its first stay. */
export function freeOfSubject(plan: ShotPlan, subjectId: string): ShotPlan {
  const markId = plan.subjects.find(({ id }) => id === subjectId)?.stays[0]?.markId;
  const mm = markId === undefined ? Infinity : (planDistances(plan).markFocusMm.get(markId) ?? Infinity);
  return withTargets(plan, (target) =>
    target.kind === 'subject' && target.subjectId === subjectId
      ? { kind: 'distance', distanceMm: mm === Infinity ? null : mm }
      : target,
  );
}

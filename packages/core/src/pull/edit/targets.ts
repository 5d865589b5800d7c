import type { FocusLinePlan, LineTarget, ShotPlan } from '../shotPlan.js';
import { planDistances } from '../planDistances.js';

/** The plan with its targets changed, in both of its lines where there are two. */
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

/** Puts a plain distance wherever the line goes to a mark, or to a blur beside it. */
export function freeOfMark(plan: ShotPlan, markId: string, distanceMm: number | null): ShotPlan {
  return withTargets(plan, (target) =>
    (target.kind === 'mark' || target.kind === 'blur') && target.markId === markId ? { kind: 'distance', distanceMm } : target,
  );
}

/** Puts a plain distance, where they first stood, wherever the line goes with someone. */
export function freeOfSubject(plan: ShotPlan, subjectId: string): ShotPlan {
  const markId = plan.subjects.find(({ id }) => id === subjectId)?.stays[0]?.markId;
  const mm = markId === undefined ? Infinity : (planDistances(plan).markFocusMm.get(markId) ?? Infinity);
  return withTargets(plan, (target) =>
    target.kind === 'subject' && target.subjectId === subjectId
      ? { kind: 'distance', distanceMm: mm === Infinity ? null : mm }
      : target,
  );
}

import type { FocusTrackPlan, FocusTarget, ShotPlan } from '../shotPlan.js';
import { markFocusMm, planDistances } from '../planDistances.js';
import { targetMm } from '../planLimits.js';

/** Changes all focus targets of a plan, in both alternates. */
export function withTargets(plan: ShotPlan, change: (target: FocusTarget) => FocusTarget): ShotPlan {
  const inLine = ({ start, pulls }: FocusTrackPlan): FocusTrackPlan => ({
    start: start && change(start),
    pulls: pulls.map((pull) => ({ ...pull, target: change(pull.target) })),
  });
  return {
    ...plan,
    focusTrack: inLine(plan.focusTrack),
    alternates: plan.alternates && { ...plan.alternates, other: inLine(plan.alternates.other) },
  };
}

/** Replaces targets at a mark, or at a blur beside it, by the distance that the ring was set to there. */
export function detachFromMark(plan: ShotPlan, markId: string): ShotPlan {
  const distanceMm = targetMm(markFocusMm(plan, markId));
  return withTargets(plan, (target) =>
    (target.kind === 'mark' || target.kind === 'blur') && target.markId === markId ? { kind: 'distance', distanceMm } : target,
  );
}

/** Replaces targets on a subject by the distance of its first stay. */
export function detachFromSubject(plan: ShotPlan, subjectId: string): ShotPlan {
  const markId = plan.subjects.find(({ id }) => id === subjectId)?.stays[0]?.markId;
  const mm = markId === undefined ? Infinity : (planDistances(plan).arrivalFocusMm.get(markId) ?? Infinity);
  return withTargets(plan, (target) =>
    target.kind === 'subject' && target.subjectId === subjectId
      ? { kind: 'distance', distanceMm: mm === Infinity ? null : mm }
      : target,
  );
}

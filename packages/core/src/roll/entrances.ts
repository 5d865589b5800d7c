import { framedSpans, planDistances, type ShotPlan } from '../plan/index.js';

/** Somebody, or something, comes into the picture. */
export interface Entrance {
  readonly subjectId: string;
  readonly timeS: number;
  /** Side of the picture, as the camera sees it; `ahead` from behind something in the middle, or from below or above */
  readonly side: 'left' | 'right' | 'ahead';
}

/** Nearer to the axis, one comes from neither side. */
const AHEAD_DEG = 2;

/** Who comes into the picture, and from which side, in order of time. Empty without a floor plan. */
export function entrances(plan: ShotPlan): Entrance[] {
  const { sightingAt } = planDistances(plan);
  return plan.subjects
    .flatMap((subject) =>
      (plan.floor ? (framedSpans(plan, subject) ?? []) : [])
        .filter(({ fromS }) => fromS > 0)
        .map(({ fromS }): Entrance => {
          const offAxisDeg = sightingAt(subject, fromS)?.offAxisDeg ?? 0;
          const side = offAxisDeg > 0 ? 'left' : 'right';
          return { subjectId: subject.id, timeS: fromS, side: Math.abs(offAxisDeg) < AHEAD_DEG ? 'ahead' : side };
        }),
    )
    .sort((a, b) => a.timeS - b.timeS);
}

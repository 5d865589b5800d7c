import type { FocusTrack } from '../track/index.js';
import type { FocusTarget, ShotPlan } from '../plan/index.js';

/** A subject that is followed comes to one of its marks: the ring has to rest there. */
export interface FollowArrival {
  readonly timeS: number;
  readonly subjectId: string;
  readonly markId: string;
}

/** Arrivals of subjects while the ring follows them, in order of time. An arrival at which a pull has taken the ring away is none. */
export function followArrivals(plan: ShotPlan, track: FocusTrack): FollowArrival[] {
  const holds: readonly { readonly target: FocusTarget; readonly fromS: number; readonly toS: number }[] = [
    { target: track.start.target, fromS: 0, toS: track.pulls[0]?.startS ?? plan.durationS },
    ...track.pulls.map((pull, index) => ({
      target: pull.to.target,
      fromS: pull.endS,
      toS: track.pulls[index + 1]?.startS ?? plan.durationS,
    })),
  ];
  return holds.flatMap(({ target, fromS, toS }) => {
    if (target.kind !== 'subject') return [];
    const stays = plan.subjects.find(({ id }) => id === target.subjectId)?.stays ?? [];
    return stays
      .filter((stay) => stay.fromS > fromS && stay.fromS <= toS)
      .map((stay) => ({ timeS: stay.fromS, subjectId: target.subjectId, markId: stay.markId }));
  });
}

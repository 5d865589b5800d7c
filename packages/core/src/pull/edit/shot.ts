import { PLAN_LIMITS } from '../planLimits.js';
import { type OpticsMove, rackEndS, type ShotPlan } from '../shotPlan.js';
import { SHORTEST_BEAT_S } from './beats.js';
import { clamp } from './ids.js';
import { floorEndS } from './redrawn.js';
import { withTargets } from './targets.js';

/** The shortest the shot can be with its moves, its turns of stop and focal length, and the camera's ways, where they are. */
export function shortestDurationS(plan: ShotPlan): number {
  const { line, alternates, optics } = plan;
  const ends = [...line.moves, ...(alternates?.other.moves ?? []), ...optics.zooms, ...optics.stopPulls].map(
    (move: Pick<OpticsMove, 'startS' | 'durationS'>) => rackEndS(move),
  );
  return Math.max(PLAN_LIMITS.durationS.min, floorEndS(plan), ...ends);
}

/** How fast whoever pulls is willing to turn what they hold. */
export function setHandLimit(plan: ShotPlan, degPerS: number): ShotPlan {
  return { ...plan, handDegPerS: clamp(degPerS, PLAN_LIMITS.handDegPerS.min, PLAN_LIMITS.handDegPerS.max) };
}

/**
 * Makes the shot longer or shorter, never shorter than its moves. What reached to the old end reaches to the new one; what would lie past it is cut.
 */
export function setDuration(plan: ShotPlan, wantedS: number): ShotPlan {
  const durationS = clamp(wantedS, shortestDurationS(plan), PLAN_LIMITS.durationS.max);
  const end = (timeS: number) => (timeS >= plan.durationS ? durationS : Math.min(timeS, durationS));
  const cut = withTargets(plan, (target) => {
    if (target.kind !== 'course') return target;
    const kept = target.points.filter(({ timeS }) => timeS <= durationS);
    return { ...target, points: kept.length > 0 ? kept : [{ ...target.points[0]!, timeS: 0 }] };
  });
  return {
    ...cut,
    durationS,
    subjects: plan.subjects.map((subject) => ({
      ...subject,
      stays: subject.stays.map((stay) => ({ ...stay, fromS: Math.min(stay.fromS, durationS), untilS: end(stay.untilS) })),
    })),
    beats: plan.beats
      .filter((beat) => beat.fromS <= durationS - SHORTEST_BEAT_S)
      .map((beat) => ({ ...beat, toS: end(beat.toS), keyS: beat.keyS === null ? null : Math.min(beat.keyS, durationS) })),
  };
}

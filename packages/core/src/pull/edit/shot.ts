import { PLAN_LIMITS } from '../planLimits.js';
import type { Hand } from '../difficulty.js';
import { type OpticsMove, rackEndS, type ShotPlan } from '../shotPlan.js';
import { type Schedule, type Wanted, WANTED_SHARE } from '../wanted.js';
import { SHORTEST_BEAT_S } from './beats.js';
import { clamp } from './ids.js';
import { floorEndS } from './redrawn.js';
import { withTargets } from './targets.js';

/** Minimum duration that still holds all pulls, iris pulls, zooms and camera moves. */
export function shortestDurationS(plan: ShotPlan): number {
  const { line, alternates, optics } = plan;
  const ends = [...line.moves, ...(alternates?.other.moves ?? []), ...optics.zooms, ...optics.stopPulls].map(
    (move: Pick<OpticsMove, 'startS' | 'durationS'>) => rackEndS(move),
  );
  return Math.max(PLAN_LIMITS.durationS.min, floorEndS(plan), ...ends);
}

/** Sets the highest speed at which the puller is willing to turn. */
export function setHandLimit(plan: ShotPlan, degPerS: number): ShotPlan {
  return { ...plan, handDegPerS: clamp(degPerS, PLAN_LIMITS.handDegPerS.min, PLAN_LIMITS.handDegPerS.max) };
}

/** Changes the figures of the hand. */
export function setHand(plan: ShotPlan, changes: Partial<Hand>): ShotPlan {
  const { reactionS, perBitS, steadyDeg } = { ...plan.hand, ...changes };
  const within = (value: number, { min, max }: { readonly min: number; readonly max: number }) => clamp(value, min, max);
  return {
    ...plan,
    hand: {
      reactionS: within(reactionS, PLAN_LIMITS.reactionS),
      perBitS: within(perBitS, PLAN_LIMITS.perBitS),
      steadyDeg: within(steadyDeg, PLAN_LIMITS.steadyDeg),
    },
  };
}

/** Changes the goals of the shot. When one-chance is switched, the target keep rate goes to that kind's default. */
export function setWanted(plan: ShotPlan, changes: Partial<Wanted>): ShotPlan {
  const { wanted } = plan;
  const isOneChance = changes.isOneChance ?? wanted.isOneChance;
  const usual = isOneChance ? WANTED_SHARE.oneChance : WANTED_SHARE.repeatable;
  const keepShare = changes.keepShare ?? (isOneChance === wanted.isOneChance ? wanted.keepShare : usual);
  const { min, max } = PLAN_LIMITS.keepShare;
  return { ...plan, wanted: { ...wanted, ...changes, isOneChance, keepShare: clamp(keepShare, min, max) } };
}

/** Changes the schedule of the shot. */
export function setSchedule(plan: ShotPlan, changes: Partial<Schedule>): ShotPlan {
  return { ...plan, schedule: { ...plan.schedule, ...changes } };
}

/** Changes the duration, never below its pulls. Spans that ended with the shot follow its new end; what lies past it is cut. */
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

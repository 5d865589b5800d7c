import { cameraErrorsOf } from '../cameraErrors.js';
import { PLAN_LIMITS } from '../planLimits.js';
import type { Hand } from '../../hand/index.js';
import { type CameraErrors, type OpticsChange, pullEndS, type ShotPlan } from '../shotPlan.js';
import { type Schedule, type ShotGoals, DEFAULT_TARGET_KEEP_RATE } from '../goals.js';
import { MIN_BEAT_S } from './beats.js';
import { clamp } from './ids.js';
import { floorEndS } from './withDerivedDistances.js';
import { withTargets } from './targets.js';

/** Minimum duration that still holds all pulls, iris pulls, zooms and camera moves. */
export function shortestDurationS(plan: ShotPlan): number {
  const { focusTrack: track, alternates, optics } = plan;
  const ends = [...track.pulls, ...(alternates?.other.pulls ?? []), ...optics.zooms, ...optics.irisPulls].map(
    (move: Pick<OpticsChange, 'startS' | 'durationS'>) => pullEndS(move),
  );
  return Math.max(PLAN_LIMITS.durationS.min, floorEndS(plan), ...ends);
}

/** Sets the highest speed at which the puller is willing to turn. */
export function setHandLimit(plan: ShotPlan, degPerS: number): ShotPlan {
  return { ...plan, maxHandDegPerS: clamp(degPerS, PLAN_LIMITS.maxHandDegPerS.min, PLAN_LIMITS.maxHandDegPerS.max) };
}

/** Changes the figures of the hand. */
export function setHand(plan: ShotPlan, changes: Partial<Hand>): ShotPlan {
  const { reactionS, perBitS, steadyDeg, twoJobsFactor } = { ...plan.hand, ...changes };
  const within = (value: number, { min, max }: { readonly min: number; readonly max: number }) => clamp(value, min, max);
  return {
    ...plan,
    hand: {
      reactionS: within(reactionS, PLAN_LIMITS.reactionS),
      perBitS: within(perBitS, PLAN_LIMITS.perBitS),
      steadyDeg: within(steadyDeg, PLAN_LIMITS.steadyDeg),
      twoJobsFactor: within(twoJobsFactor, PLAN_LIMITS.twoJobsFactor),
    },
  };
}

/** Changes the errors of the camera; null goes back to what is assumed of its support. */
export function setCameraErrors(plan: ShotPlan, changes: Partial<CameraErrors> | null): ShotPlan {
  if (changes === null) return { ...plan, cameraErrors: null };
  const { timingSigmaS, stopSigmaMm, driftSigmaMm, driftTimeS } = { ...cameraErrorsOf(plan), ...changes };
  const within = (value: number, { min, max }: { readonly min: number; readonly max: number }) => clamp(value, min, max);
  return {
    ...plan,
    cameraErrors: {
      timingSigmaS: within(timingSigmaS, PLAN_LIMITS.sigmaS),
      stopSigmaMm: within(stopSigmaMm, PLAN_LIMITS.markSigmaMm),
      driftSigmaMm: within(driftSigmaMm, PLAN_LIMITS.markSigmaMm),
      driftTimeS: within(driftTimeS, PLAN_LIMITS.driftTimeS),
    },
  };
}

/** Changes the goals of the shot. When one-chance is switched, the target keep rate goes to that kind's default. */
export function setGoals(plan: ShotPlan, changes: Partial<ShotGoals>): ShotPlan {
  const { goals } = plan;
  const isOneChance = changes.isOneChance ?? goals.isOneChance;
  const usual = isOneChance ? DEFAULT_TARGET_KEEP_RATE.oneChance : DEFAULT_TARGET_KEEP_RATE.repeatable;
  const targetKeepRate = changes.targetKeepRate ?? (isOneChance === goals.isOneChance ? goals.targetKeepRate : usual);
  const { min, max } = PLAN_LIMITS.targetKeepRate;
  return { ...plan, goals: { ...goals, ...changes, isOneChance, targetKeepRate: clamp(targetKeepRate, min, max) } };
}

/** Changes the schedule of the shot. */
export function setSchedule(plan: ShotPlan, changes: Partial<Schedule>): ShotPlan {
  return { ...plan, schedule: { ...plan.schedule, ...changes } };
}

/** Methods and meter readings of a shot that is cut: what begins past its end is gone. */
function partsWithin({ laterMethods, exposure }: ShotPlan, durationS: number): Pick<ShotPlan, 'laterMethods' | 'exposure'> {
  const lightReadings = exposure.lightReadings.filter(({ at }) => at.kind === 'mark' || at.timeS <= durationS);
  return { laterMethods: laterMethods.filter(({ fromS }) => fromS < durationS), exposure: { ...exposure, lightReadings } };
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
    ...partsWithin(plan, durationS),
    subjects: plan.subjects.map((subject) => ({
      ...subject,
      stays: subject.stays.map((stay) => ({ ...stay, fromS: Math.min(stay.fromS, durationS), untilS: end(stay.untilS) })),
    })),
    beats: plan.beats
      .filter((beat) => beat.fromS <= durationS - MIN_BEAT_S)
      .map((beat) => ({
        ...beat,
        toS: end(beat.toS),
        keyMomentS: beat.keyMomentS === null ? null : Math.min(beat.keyMomentS, durationS),
      })),
  };
}

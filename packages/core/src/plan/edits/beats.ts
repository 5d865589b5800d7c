import { PLAN_LIMITS } from '../planLimits.js';
import { fullList } from '../planRoom.js';
import { type Beat, DEFAULT_BEAT, type ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';

/** Shortest beat that can be drawn or typed, in seconds. */
export const MIN_BEAT_S = 0.1;

/**
 * Adds a beat that requires sharpness from a time on: two seconds long, or to the end of the shot. With alternates, in the
 * shown one.
 *
 * @returns the same plan if it is full of beats
 */
export function addBeat(plan: ShotPlan, subjectId: string, atS: number): ShotPlan {
  if (fullList(plan, ['beats'])) return plan;
  const fromS = clamp(atS, 0, plan.durationS - MIN_BEAT_S);
  const beat: Beat = {
    ...DEFAULT_BEAT,
    id: nextId('beat', plan.beats),
    subjectId,
    fromS,
    toS: Math.min(fromS + 2, plan.durationS),
    alternate: plan.alternates?.shown ?? null,
  };
  return { ...plan, beats: [...plan.beats, beat] };
}

/**
 * Moves the ends of a beat within the shot, or changes its requirement. The key moment moves with a whole beat and stays inside
 * it.
 */
export function changeBeat(plan: ShotPlan, id: string, changes: Partial<Omit<Beat, 'id'>>): ShotPlan {
  return {
    ...plan,
    beats: withItem(plan.beats, id, (beat) => {
      const requested = { ...beat, ...changes };
      const onlyStart = changes.fromS !== undefined && changes.toS === undefined;
      const fromS = clamp(requested.fromS, 0, (onlyStart ? requested.toS : plan.durationS) - MIN_BEAT_S);
      const toS = clamp(requested.toS, fromS + MIN_BEAT_S, plan.durationS);
      const isMoved = Math.abs(toS - fromS - (beat.toS - beat.fromS)) < 1e-6 && changes.keyMomentS === undefined;
      const keyMomentS =
        requested.keyMomentS === null
          ? null
          : clamp(requested.keyMomentS + (isMoved ? fromS - beat.fromS : 0), fromS, lastFrameS(plan, toS));
      const requiredShare = clamp(requested.requiredShare, PLAN_LIMITS.share.min, PLAN_LIMITS.share.max);
      const { min, max } = PLAN_LIMITS.toleratedFrames;
      const toleratedFrames = Math.round(clamp(requested.toleratedFrames, min, max));
      const blurPercent = clamp(requested.blurPercent, PLAN_LIMITS.blurPercent.min, PLAN_LIMITS.blurPercent.max);
      return {
        ...requested,
        fromS,
        toS,
        keyMomentS,
        toleratedFrames,
        requiredShare,
        blurPercent,
        alternate: plan.alternates === null ? null : requested.alternate,
      };
    }),
  };
}

/** A beat does not include the frame at its end. */
function lastFrameS({ captureFps }: ShotPlan, toS: number): number {
  return toS - 1 / captureFps;
}

export function removeBeat(plan: ShotPlan, id: string): ShotPlan {
  return { ...plan, beats: without(plan.beats, id) };
}

import { PLAN_LIMITS } from '../planLimits.js';
import type { Beat, ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';

/** The shortest beat that can be drawn or typed, in seconds. */
export const SHORTEST_BEAT_S = 0.1;

/** Says that someone must be sharp from a time on: for two seconds, or to the end of the shot. */
export function addBeat(plan: ShotPlan, subjectId: string, atS: number): ShotPlan {
  const fromS = clamp(atS, 0, plan.durationS - SHORTEST_BEAT_S);
  const beat: Beat = {
    id: nextId('beat', plan.beats),
    subjectId,
    fromS,
    toS: Math.min(fromS + 2, plan.durationS),
    requiredShare: 1,
    why: '',
  };
  return { ...plan, beats: [...plan.beats, beat] };
}

/** Moves the ends of a beat within the shot, or changes what it asks for. */
export function changeBeat(plan: ShotPlan, id: string, changes: Partial<Omit<Beat, 'id'>>): ShotPlan {
  return {
    ...plan,
    beats: withItem(plan.beats, id, (beat) => {
      const wanted = { ...beat, ...changes };
      const onlyStart = changes.fromS !== undefined && changes.toS === undefined;
      const fromS = clamp(wanted.fromS, 0, (onlyStart ? wanted.toS : plan.durationS) - SHORTEST_BEAT_S);
      const requiredShare = clamp(wanted.requiredShare, PLAN_LIMITS.share.min, PLAN_LIMITS.share.max);
      return { ...wanted, fromS, toS: clamp(wanted.toS, fromS + SHORTEST_BEAT_S, plan.durationS), requiredShare };
    }),
  };
}

export function removeBeat(plan: ShotPlan, id: string): ShotPlan {
  return { ...plan, beats: without(plan.beats, id) };
}

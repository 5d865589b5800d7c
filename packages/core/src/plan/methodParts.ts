import { frameAtOrAfter, frameCount as countFrames } from '../units/index.js';
import { beatFrames, keyFrameOf } from './beatFrames.js';
import { activeBeats, type Beat, type Method, type ShotPlan } from './shotPlan.js';

type Methods = Pick<ShotPlan, 'method' | 'laterMethods'>;

/** A part of a shot in which focus is kept by one method. */
export interface MethodPart {
  /** null for the part from the start */
  readonly id: string | null;
  readonly method: Method;
  readonly fromS: number;
  readonly toS: number;
}

/** The parts of a shot, in order of time. Together they are the whole shot. */
export function methodParts({ method, laterMethods, durationS }: Methods & Pick<ShotPlan, 'durationS'>): MethodPart[] {
  const starts = [{ id: null, method, fromS: 0 }, ...laterMethods];
  return starts.map((part, index) => ({ ...part, toS: starts[index + 1]?.fromS ?? durationS }));
}

/** Method at a time of the shot. */
export function methodAt({ method, laterMethods }: Methods, timeS: number): Method {
  return laterMethods.findLast(({ fromS }) => timeS >= fromS)?.method ?? method;
}

/** All methods of a shot, each once, in the order in which they come. */
export function methodsOf({ method, laterMethods }: Methods): Method[] {
  return [...new Set([method, ...laterMethods.map((part) => part.method)])];
}

/** Whether pulls are made by a method. */
export function isPulled(method: Method): boolean {
  return method === 'rack' || method === 'follow';
}

/** Whether autofocus keeps focus from the start to the end. */
export function isAllAutomatic(plan: Methods): boolean {
  return methodsOf(plan).join() === 'automatic';
}

/** Parts that are left to autofocus while others are not; empty for a shot with none, and for one that is left to it as a whole. */
export function automaticParts(plan: Methods & Pick<ShotPlan, 'durationS'>): MethodPart[] {
  return isAllAutomatic(plan) ? [] : methodParts(plan).filter(({ method }) => method === 'automatic');
}

/** Whether a time lies in a part that is left to autofocus while others are not. */
export function isInAutomaticPart(plan: Methods, timeS: number): boolean {
  return methodAt(plan, timeS) === 'automatic' && !isAllAutomatic(plan);
}

/** By frame, 1 where autofocus keeps focus while in other parts it does not; null if there is no such part. */
export function automaticFrames(plan: Methods & Pick<ShotPlan, 'durationS' | 'captureFps'>): Uint8Array | null {
  if (automaticParts(plan).length === 0) return null;
  const column = new Uint8Array(countFrames(plan.durationS, plan.captureFps));
  for (const { fromS, toS } of automaticParts(plan))
    column.fill(1, frameAtOrAfter(fromS, plan.captureFps), frameAtOrAfter(toS, plan.captureFps));
  return column;
}

/**
 * Beats of the shown alternate that the plan's own focus is judged by. In a part that is left to autofocus nothing is required of the plan: a beat
 * that lies wholly in one requires nothing, and a key moment there is none.
 */
export function plannedBeats(plan: ShotPlan): readonly Beat[] {
  const beats = activeBeats(plan);
  const automatic = automaticFrames(plan);
  if (automatic === null) return beats;
  return beats.map((beat) => {
    const { fromFrame, toFrame } = beatFrames(beat, plan.captureFps, automatic.length);
    const keyFrame = keyFrameOf(beat, plan.captureFps, automatic.length);
    const isLeft = toFrame > fromFrame && automatic.subarray(fromFrame, toFrame).every((one) => one === 1);
    const keyMomentS = keyFrame !== null && automatic[keyFrame] === 1 ? null : beat.keyMomentS;
    return { ...beat, keyMomentS, requirement: isLeft ? 'none' : beat.requirement };
  });
}

/** The plan with what is required of one of its parts alone. Times stay those of the shot. */
export function ofPart(plan: ShotPlan, { fromS, toS }: Pick<MethodPart, 'fromS' | 'toS'>): ShotPlan {
  const beats = plan.beats.flatMap((beat): Beat[] => {
    const [from, to] = [Math.max(beat.fromS, fromS), Math.min(beat.toS, toS)];
    if (to <= from) return [];
    const { keyMomentS } = beat;
    return [
      {
        ...beat,
        fromS: from,
        toS: to,
        keyMomentS: keyMomentS !== null && keyMomentS >= from && keyMomentS < to ? keyMomentS : null,
      },
    ];
  });
  return { ...plan, beats };
}

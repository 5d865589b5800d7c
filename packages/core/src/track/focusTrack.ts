import { eased, type Easing } from '../hand/index.js';
import type { LensRing } from '../kit/index.js';
import {
  type FocusTarget,
  pullEndS,
  ringReach,
  type ShotPlan,
  targetOverTime,
  type TargetOverTime,
  type TrackPosition,
} from '../plan/index.js';

/** A pull in ring angles. */
export interface TrackPull {
  readonly pullId: string;
  readonly startS: number;
  readonly endS: number;
  /** Position at the start of the pull */
  readonly from: TrackPosition;
  /** Position at its landing */
  readonly to: TrackPosition;
  /** Whether the ring keeps moving with a subject or a course after the landing */
  readonly isTracking: boolean;
}

/** The focus track: ring angle over time. */
export interface FocusTrack {
  readonly start: TrackPosition;
  readonly pulls: readonly TrackPull[];
  /** Ring angle at a time: held by the target, or eased between two targets during a pull. */
  ringDegAt(timeS: number): number;
  readonly fillRingDeg: FillRingDeg;
}

/**
 * Writes ring angles of a range of frames. The same as one by one, faster: times only rise, and a target that stands still is held.
 *
 * @param timesS - time of each frame, rising; as long as `ringDeg`
 */
export type FillRingDeg = (ringDeg: Float64Array, timesS: Float64Array, fromFrame: number, toFrame: number) => void;

interface Step {
  readonly easing: Easing;
  readonly pull: TrackPull;
  readonly to: TargetOverTime;
}

/** Ring angle between the two targets of a pull. */
function degDuring({ easing, pull, to }: Step, timeS: number): number {
  const fromDeg = pull.from.ringDeg;
  const progress = (timeS - pull.startS) / (pull.endS - pull.startS);
  return fromDeg + (to.degAt(timeS) - fromDeg) * eased(easing, progress);
}

/**
 * Computes the focus track of a plan. A pull to a walking subject or a course meets it in motion and then tracks it.
 *
 * @returns null if the track has no start
 */
export function focusTrack(plan: ShotPlan, ring: LensRing): FocusTrack | null {
  if (plan.focusTrack.start === null) return null;
  const reach = ringReach(plan);
  const targetAt = (target: FocusTarget, landsS: number) => targetOverTime(plan, target, landsS, { ring, reach });
  const start = targetAt(plan.focusTrack.start, 0);
  const steps: Step[] = [];
  let from = start;
  for (const { id, startS, easing, target, durationS } of plan.focusTrack.pulls) {
    const endS = pullEndS({ startS, durationS });
    const to = targetAt(target, endS);
    steps.push({
      easing,
      pull: { pullId: id, startS, endS, from: from.at(startS), to: to.at(endS), isTracking: to.isMoving },
      to,
    });
    from = to;
  }
  const continuousDegAt = (timeS: number): number => {
    let current = start;
    for (const step of steps) {
      if (timeS < step.pull.startS) break;
      if (timeS < step.pull.endS) return degDuring(step, timeS);
      current = step.to;
    }
    return current.degAt(timeS);
  };
  const fillRingDeg: FillRingDeg = (ringDeg, timesS, fromFrame, toFrame) => {
    let frame = fromFrame;
    const hold = (target: TargetOverTime, untilS: number) => {
      const first = frame;
      while (frame < toFrame && timesS[frame]! < untilS) frame++;
      if (!target.isMoving) ringDeg.fill(target.degAt(0), first, frame);
      else for (let k = first; k < frame; k++) ringDeg[k] = target.degAt(timesS[k]!);
    };
    let current = start;
    for (const step of steps) {
      hold(current, step.pull.startS);
      for (; frame < toFrame && timesS[frame]! < step.pull.endS; frame++) ringDeg[frame] = degDuring(step, timesS[frame]!);
      current = step.to;
    }
    hold(current, Infinity);
    if (reach.stepDeg !== null) for (let k = fromFrame; k < toFrame; k++) ringDeg[k] = reach.nearest(ringDeg[k]!);
  };
  return {
    start: start.at(0),
    pulls: steps.map(({ pull }) => pull),
    ringDegAt: reach.stepDeg === null ? continuousDegAt : (timeS) => reach.nearest(continuousDegAt(timeS)),
    fillRingDeg,
  };
}

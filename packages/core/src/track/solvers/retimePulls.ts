import { ringOf } from '../../kit/index.js';
import { isTriggeredByEvent, PLAN_LIMITS, pullEndS, ringReach, type ShotPlan } from '../../plan/index.js';
import { type FocusTrack, focusTrack } from '../focusTrack.js';
import { type Tube, tubeOf } from '../tube.js';
import { type RingChange, timeChange, type ChangeTiming } from './changeTime.js';
import { type SolverContext, turnTimeS } from './holds.js';
import { possibleTube } from './tubeRoom.js';

/**
 * Free range of the start time and duration of one pull, with its neighbours as they are.
 *
 * @returns null if the pull starts from or leads to tracking, or if the track has no start
 */
export function pullTiming(plan: ShotPlan, pullId: string): ChangeTiming | null {
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  const index = track?.pulls.findIndex((pull) => pull.pullId === pullId) ?? -1;
  if (track === null || index < 0) return null;
  const before = plan.focusTrack.pulls[index - 1];
  const change = changeOf({ plan, ring }, track, index, before ? before.startS + before.durationS : 0);
  return change && timeChange(possibleTube(tubeOf(plan), ringReach(plan)), plan.captureFps, change);
}

/** The pull as a change between two holds, limited by its neighbours; null if it starts from or leads to tracking. */
function changeOf(turning: SolverContext, { pulls }: FocusTrack, index: number, earliestS: number): RingChange | null {
  const { plan } = turning;
  const { endS, from, to, isTracking } = pulls[index]!;
  if (isTracking || from.target.kind === 'subject' || from.target.kind === 'course') return null;
  const next = pulls[index + 1];
  return {
    fromDeg: from.ringDeg,
    toDeg: to.ringDeg,
    easing: plan.focusTrack.pulls[index]!.easing,
    minTimeS: turnTimeS(turning, from.ringDeg, to.ringDeg, Math.floor(endS * plan.captureFps)) * (1 + 1e-9),
    earliestS,
    latestEndS: next ? next.startS : plan.durationS,
  };
}

/**
 * Retimes the pulls of a plan, each to the time that loses the fewest frames between its neighbours. Pulls that lead to
 * tracking stay as they are, and no pull starts before the event that sets it off.
 *
 * @returns null for a track without pulls
 */
export function retimePulls(
  turning: SolverContext,
  tube: Tube,
): { plan: ShotPlan; timings: readonly (ChangeTiming & { readonly pullId: string })[] } | null {
  const { plan, ring } = turning;
  const track = focusTrack(plan, ring);
  if (track === null || track.pulls.length === 0) return null;
  const timings: (ChangeTiming & { pullId: string })[] = [];
  const pulls = [...plan.focusTrack.pulls];
  track.pulls.forEach(({ pullId }, index) => {
    const before = pulls[index - 1];
    // a pull that an event sets off can't start before it
    const eventS = isTriggeredByEvent(pulls[index]!) ? pulls[index]!.startS : 0;
    const change = changeOf(turning, track, index, Math.max(eventS, before ? pullEndS(before) : 0));
    if (!change || change.latestEndS - change.earliestS < PLAN_LIMITS.pullS.min) return;
    const time = timeChange(tube, plan.captureFps, change);
    pulls[index] = { ...pulls[index]!, startS: time.startS, durationS: time.durationS };
    timings.push({ ...time, pullId });
  });
  return { plan: { ...plan, focusTrack: { ...plan.focusTrack, pulls } }, timings };
}

import type { ShotPlan } from '../plan/index.js';
import { type CueEvent, rollClock, type RollMode } from '../roll/index.js';
import type { Take } from './take.js';
import { type RingTrack, trackDegAt } from './track.js';

/**
 * Converts a track to plan time. Waiting times for cues are cut out, and slow practice is scaled to full speed. It ends with
 * the roll.
 *
 * @param track - in real time
 */
export function onPlanTime(
  plan: Pick<ShotPlan, 'focusTrack' | 'durationS'>,
  track: RingTrack,
  cues: readonly CueEvent[],
  pace?: RollMode,
): RingTrack {
  const clock = rollClock(plan, cues, pace);
  const endS = clock.planSAt((track.ringDeg.length - 1) / track.hz);
  const samples = Math.floor(endS * track.hz + 1e-6) + 1;
  let lastS = 0;
  const ringDeg = Float64Array.from({ length: samples }, (_, k) => {
    // skipped plan time has no real time: the ring stays where it was
    lastS = clock.realSAt(k / track.hz) ?? lastS;
    return trackDegAt(track, lastS);
  });
  const holes = track.holes?.map(({ fromS, toS }) => ({ fromS: clock.planSAt(fromS), toS: clock.planSAt(toS) }));
  return { hz: track.hz, ringDeg, ...(holes ? { holes } : {}) };
}

/**
 * Trigger time of each pull in take time: from the recorded cues, or from the clock. Pulls after the end of the take are
 * omitted.
 */
export function pullTimes(
  plan: Pick<ShotPlan, 'focusTrack' | 'durationS'>,
  { cues, durationS }: Pick<Take, 'cues' | 'durationS'>,
): CueEvent[] {
  const clock = rollClock(plan, cues);
  return plan.focusTrack.pulls.flatMap(({ id, startS }) => {
    const timeS = clock.realSAt(startS);
    return timeS === null || timeS > durationS ? [] : [{ pullId: id, timeS }];
  });
}

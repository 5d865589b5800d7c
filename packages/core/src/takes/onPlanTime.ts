import type { ShotPlan } from '../pull/index.js';
import { rollClock, type RollPace, type SetOff } from '../roll/index.js';
import type { Take } from './take.js';
import { type RingTrack, trackDegAt } from './track.js';

/**
 * A track over the plan's time: what happened while a pull waited for its event is left out, and slow practice is as if it had been at full speed. It ends where the roll ended.
 *
 * @param track - over the time that ran
 */
export function onPlanTime(
  plan: Pick<ShotPlan, 'line' | 'durationS'>,
  track: RingTrack,
  cues: readonly SetOff[],
  pace?: RollPace,
): RingTrack {
  const clock = rollClock(plan, cues, pace);
  const endS = clock.planSAt((track.ringDeg.length - 1) / track.hz);
  const samples = Math.floor(endS * track.hz + 1e-6) + 1;
  let lastS = 0;
  const ringDeg = Float64Array.from({ length: samples }, (_, k) => {
    // what was jumped over has no time of its own: the ring is where it was before
    lastS = clock.realSAt(k / track.hz) ?? lastS;
    return trackDegAt(track, lastS);
  });
  return { hz: track.hz, ringDeg };
}

/** When each pull of a plan was set off in a take, in the take's own time: as its cues say, or by the clock between them. Pulls it did not come to are left out. */
export function pullTimes(
  plan: Pick<ShotPlan, 'line' | 'durationS'>,
  { cues, durationS }: Pick<Take, 'cues' | 'durationS'>,
): SetOff[] {
  const clock = rollClock(plan, cues);
  return plan.line.moves.flatMap(({ id, startS }) => {
    const timeS = clock.realSAt(startS);
    return timeS === null || timeS > durationS ? [] : [{ moveId: id, timeS }];
  });
}

import type { ShotPlan } from '../pull/index.js';
import { rollClock, type RollPace, type SetOff } from '../roll/index.js';
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

import { ringOf } from '../kit/index.js';
import { isTriggeredByEvent, type ShotPlan } from '../plan/index.js';
import { type CueEvent, DEFAULT_ROLL_MODE, rollClock, type RollMode } from '../roll/index.js';
import { focusTrack } from '../track/index.js';
import { plannedSamples, restingDeg } from './pullTurns.js';
import { smoothed } from './smoothTrack.js';
import type { RingTrack } from './track.js';
import { departureOf } from './turns.js';

/**
 * Cues that nobody gave by key, from when the ring left for their pulls. A pull that waits for an event is then judged from its own start,
 * and never from the clock of the plan.
 *
 * @param track - in real time
 * @param cues - given by key
 * @returns only the missing ones; none for a pull to which the ring never turned, nor for pulls after it
 */
export function inferredCues(
  plan: ShotPlan,
  track: RingTrack,
  cues: readonly CueEvent[],
  mode: RollMode = DEFAULT_ROLL_MODE,
): CueEvent[] {
  const isGiven = (pullId: string) => cues.some((cue) => cue.pullId === pullId);
  if (mode.isClockTriggered || plan.focusTrack.pulls.every((pull) => !isTriggeredByEvent(pull) || isGiven(pull.id))) return [];
  const line = focusTrack(plan, ringOf(plan.optics.lens));
  if (!line) return [];
  const { hz } = track;
  const restDeg = restingDeg(plan.wheel);
  const taken = { hz, degs: smoothed(track.ringDeg, hz) };
  const planned = { hz, degs: smoothed(plannedSamples(plan, line, hz).degs, hz) };
  const found: CueEvent[] = [];
  let after = 0;
  for (const [index, pull] of plan.focusTrack.pulls.entries()) {
    const { from, to, startS, endS } = line.pulls[index]!;
    const waitsS = rollClock(plan, [...cues, ...found], mode).realSAt(startS - 1e-6);
    if (waitsS === null) break;
    const turn = { fromDeg: from.ringDeg, toDeg: to.ringDeg, startS: waitsS, endS: waitsS + (endS - startS) / mode.rate };
    const departure = departureOf(taken, turn, { after, restDeg, latestS: Infinity });
    const isMissing = isTriggeredByEvent(pull) && !isGiven(pull.id);
    if (isMissing) {
      if (!departure) break;
      // a gentle start is visible only a little later, also in the plan
      const seen = departureOf(planned, { ...turn, startS, endS }, { after: 0, restDeg, latestS: endS });
      const delayS = seen ? Math.max(seen.begins / hz - startS, 0) / mode.rate : 0;
      found.push({ pullId: pull.id, timeS: Math.max(departure.begins / hz - delayS, 0) });
    }
    after = departure?.halfway ?? after;
  }
  return found;
}

/** All cues of a take: those given by key, and those seen in the ring. */
export function cuesOf(plan: ShotPlan, track: RingTrack, cues: readonly CueEvent[], mode?: RollMode): CueEvent[] {
  return [...cues, ...inferredCues(plan, track, cues, mode)];
}

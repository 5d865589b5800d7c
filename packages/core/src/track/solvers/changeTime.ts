import { eased, type Easing } from '../../hand/index.js';
import { PLAN_LIMITS } from '../../plan/index.js';
import type { Tube } from '../tube.js';

/** A change from one ring angle to another, and the time available for it. */
export interface RingChange {
  readonly fromDeg: number;
  readonly toDeg: number;
  readonly easing: Easing;
  /** Minimum time a hand needs */
  readonly minTimeS: number;
  /** Landing of the previous change, and start of the next one */
  readonly earliestS: number;
  readonly latestEndS: number;
}

/** Start and duration of a change, and the free range of both. */
export interface ChangeTiming {
  readonly startS: number;
  readonly durationS: number;
  /** At the hand's minimum time: range of start times that lose no more frames than necessary */
  readonly earliestStartS: number;
  readonly latestStartS: number;
  /** Longest duration without losing further frames */
  readonly longestS: number;
  /** Frames that are lost in any case */
  readonly lostFrames: number;
}

/** A change whose start time is to be found. */
interface StartSearch {
  readonly tube: Tube;
  readonly captureFps: number;
  readonly change: RingChange;
}

/** Duration of a pull over the hand's minimum time, where there is room. */
const COMFORT_FACTOR = 1.5;

/** Bisection steps for the longest duration. */
const BISECTION_STEPS = 10;

/**
 * Chooses when to change from one hold to the next: fewest soft frames first, then a comfortable duration in the middle of the
 * free range.
 *
 * Start times are tried frame by frame, first at the minimum time, then at longer durations.
 */
export function timeChange(tube: Tube, captureFps: number, change: RingChange): ChangeTiming {
  const { earliestS, latestEndS } = change;
  const minTimeS = Math.min(Math.max(change.minTimeS, PLAN_LIMITS.pullS.min), latestEndS - earliestS);
  const search: StartSearch = { tube, captureFps, change };
  const quickest = startsFor(search, minTimeS);
  let [longestS, tooLongS] = [minTimeS, Math.max(minTimeS, latestEndS - earliestS)];
  const isFree = (durationS: number) => hasStart(search, durationS, quickest.lost);
  if (tooLongS > minTimeS && isFree(tooLongS)) longestS = tooLongS;
  else
    for (let k = 0; k < BISECTION_STEPS && tooLongS - longestS > 1 / captureFps / 4; k++) {
      const middleS = (longestS + tooLongS) / 2;
      if (isFree(middleS)) longestS = middleS;
      else tooLongS = middleS;
    }
  const durationS = Math.min(longestS, minTimeS * COMFORT_FACTOR);
  const { first, last } = durationS === minTimeS ? quickest : startsFor(search, durationS);
  return {
    startS: Math.min((first + last) / 2, latestEndS - durationS),
    durationS,
    earliestStartS: quickest.first,
    latestStartS: quickest.last,
    longestS,
    lostFrames: quickest.lost,
  };
}

/** The start times for a duration that lose the fewest frames: their longest unbroken run. */
function startsFor(search: StartSearch, durationS: number): { lost: number; first: number; last: number } {
  const { captureFps, change } = search;
  const lostAt = lostFrames(search, durationS);
  let [lost, first, last] = [Infinity, change.earliestS, change.earliestS];
  let [runFirst, runLost] = [change.earliestS, Infinity];
  for (let k = 0; k < startCount(search, durationS); k++) {
    const startS = change.earliestS + k / captureFps;
    const now = lostAt(k, Infinity);
    if (now !== runLost) [runFirst, runLost] = [startS, now];
    if (now < lost || (now === lost && startS - runFirst > last - first)) [lost, first, last] = [now, runFirst, startS];
  }
  return { lost, first, last };
}

/** Whether some start time for a duration loses at most `maxLost` frames. */
function hasStart(search: StartSearch, durationS: number, maxLost: number): boolean {
  const lostAt = lostFrames(search, durationS);
  for (let k = 0; k < startCount(search, durationS); k++) if (lostAt(k, maxLost) <= maxLost) return true;
  return false;
}

/** Start times are tried frame by frame from the earliest one. */
function startCount({ captureFps, change: { earliestS, latestEndS } }: StartSearch, durationS: number): number {
  return 1 + Math.max(0, Math.floor((latestEndS - durationS - earliestS) * captureFps + 1e-6));
}

/**
 * Number of required frames outside the tube between the neighbouring changes, by start frame: old hold, turn and new hold.
 * Counting stops above `maxLost`.
 */
function lostFrames({ tube, captureFps, change }: StartSearch, durationS: number) {
  const { lowDeg, highDeg, required } = tube;
  const { fromDeg, toDeg, easing, earliestS, latestEndS } = change;
  const firstFrame = Math.max(0, Math.ceil(earliestS * captureFps - 1e-6));
  const endFrame = Math.max(firstFrame, Math.min(required.length, Math.ceil(latestEndS * captureFps - 1e-6)));
  const isLost = (frame: number, deg: number) =>
    required[frame] === 1 && (deg < lowDeg[frame]! - 1e-9 || deg > highDeg[frame]! + 1e-9) ? 1 : 0;
  // frames lost by the old hold up to here, and by the new hold from here on
  const before = new Uint32Array(endFrame - firstFrame + 1);
  const after = new Uint32Array(endFrame - firstFrame + 1);
  for (let frame = firstFrame; frame < endFrame; frame++)
    before[frame - firstFrame + 1] = before[frame - firstFrame]! + isLost(frame, fromDeg);
  for (let frame = endFrame - 1; frame >= firstFrame; frame--)
    after[frame - firstFrame] = after[frame - firstFrame + 1]! + isLost(frame, toDeg);
  // consecutive starts are whole frames apart, so every one turns through the same angles
  const lateS = firstFrame / captureFps - earliestS;
  const turning = Math.max(0, Math.ceil((durationS - lateS) * captureFps - 1e-6));
  const degs = Float64Array.from(
    { length: turning },
    (_, k) => fromDeg + (toDeg - fromDeg) * eased(easing, (lateS + k / captureFps) / durationS),
  );
  return (k: number, maxLost: number): number => {
    const start = Math.min(k, endFrame - firstFrame);
    const end = Math.min(start + turning, endFrame - firstFrame);
    let lost = before[start]! + after[end]!;
    for (let at = start; at < end && lost <= maxLost; at++) lost += isLost(firstFrame + at, degs[at - start]!);
    return lost;
  };
}

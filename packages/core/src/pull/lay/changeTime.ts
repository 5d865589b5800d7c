import { eased } from '../easing.js';
import { PLAN_LIMITS } from '../planLimits.js';
import type { Easing } from '../shotPlan.js';
import type { Tube } from '../tube.js';

/** A turn from one angle to another, and when it can be made. */
export interface Change {
  readonly fromDeg: number;
  readonly toDeg: number;
  readonly easing: Easing;
  /** The least time a hand needs for it */
  readonly needS: number;
  /** When the change before it has landed, and the one after it begins */
  readonly earliestS: number;
  readonly latestEndS: number;
}

/** When a change starts and how long it lasts, and how much of that is free. */
export interface ChangeTime {
  readonly startS: number;
  readonly durationS: number;
  /** As fast as the hand can, the times it may start at without losing more than must be lost */
  readonly earliestStartS: number;
  readonly latestStartS: number;
  /** The longest it may last for that */
  readonly longestS: number;
  /** Frames that are lost all the same */
  readonly lostFrames: number;
}

/** How much longer than a hand's least time a move is made where there is time for it. */
const COMFORT = 1.5;

/** Steps by which the longest time is narrowed down. */
const HALVINGS = 10;

/**
 * When to go over from one setting to the next: so that the fewest frames go soft, and then with a hand's comfort, in the middle of the time there is.
 *
 * Starts are tried frame by frame, all of them at the least time, and then ever longer ones.
 */
export function changeTime(tube: Tube, captureFps: number, change: Change): ChangeTime {
  const { earliestS, latestEndS } = change;
  const leastS = Math.min(Math.max(change.needS, PLAN_LIMITS.rackS.min), latestEndS - earliestS);
  const quickest = startsFor(tube, captureFps, change, leastS);
  let [longestS, tooLongS] = [leastS, Math.max(leastS, latestEndS - earliestS)];
  const isFree = (durationS: number) => hasStart(tube, captureFps, change, durationS, quickest.lost);
  if (tooLongS > leastS && isFree(tooLongS)) longestS = tooLongS;
  else
    for (let k = 0; k < HALVINGS && tooLongS - longestS > 1 / captureFps / 4; k++) {
      const middleS = (longestS + tooLongS) / 2;
      if (isFree(middleS)) longestS = middleS;
      else tooLongS = middleS;
    }
  const durationS = Math.min(longestS, leastS * COMFORT);
  const { first, last } = durationS === leastS ? quickest : startsFor(tube, captureFps, change, durationS);
  return {
    startS: Math.min((first + last) / 2, latestEndS - durationS),
    durationS,
    earliestStartS: quickest.first,
    latestStartS: quickest.last,
    longestS,
    lostFrames: quickest.lost,
  };
}

/** Of all starts for a duration, those that lose the fewest frames: the longest unbroken stretch of them. */
function startsFor(
  tube: Tube,
  captureFps: number,
  change: Change,
  durationS: number,
): { lost: number; first: number; last: number } {
  const lostAt = lostFrames(tube, captureFps, change, durationS);
  let [lost, first, last] = [Infinity, change.earliestS, change.earliestS];
  let [runFirst, runLost] = [change.earliestS, Infinity];
  for (let k = 0; k < startCount(captureFps, change, durationS); k++) {
    const startS = change.earliestS + k / captureFps;
    const now = lostAt(k, Infinity);
    if (now !== runLost) [runFirst, runLost] = [startS, now];
    if (now < lost || (now === lost && startS - runFirst > last - first)) [lost, first, last] = [now, runFirst, startS];
  }
  return { lost, first, last };
}

/** Whether some start for a duration loses no more than so many frames. */
function hasStart(tube: Tube, captureFps: number, change: Change, durationS: number, mostLost: number): boolean {
  const lostAt = lostFrames(tube, captureFps, change, durationS);
  for (let k = 0; k < startCount(captureFps, change, durationS); k++) if (lostAt(k, mostLost) <= mostLost) return true;
  return false;
}

/** Starts are tried frame by frame from the earliest on. */
function startCount(captureFps: number, { earliestS, latestEndS }: Change, durationS: number): number {
  return 1 + Math.max(0, Math.floor((latestEndS - durationS - earliestS) * captureFps + 1e-6));
}

/**
 * Frames between the changes before and after that are not as asked, by which start it is: where the old setting, the turn or the new one is outside the tube. Counting stops once it is past `mostLost`.
 */
function lostFrames({ lowDeg, highDeg, required }: Tube, captureFps: number, change: Change, durationS: number) {
  const { fromDeg, toDeg, easing, earliestS, latestEndS } = change;
  const firstFrame = Math.max(0, Math.ceil(earliestS * captureFps - 1e-6));
  const endFrame = Math.max(firstFrame, Math.min(required.length, Math.ceil(latestEndS * captureFps - 1e-6)));
  const isLost = (frame: number, deg: number) =>
    required[frame] === 1 && (deg < lowDeg[frame]! - 1e-9 || deg > highDeg[frame]! + 1e-9) ? 1 : 0;
  // lost so far if the old setting went on, and from here on if the new one did
  const before = new Uint32Array(endFrame - firstFrame + 1);
  const after = new Uint32Array(endFrame - firstFrame + 1);
  for (let frame = firstFrame; frame < endFrame; frame++)
    before[frame - firstFrame + 1] = before[frame - firstFrame]! + isLost(frame, fromDeg);
  for (let frame = endFrame - 1; frame >= firstFrame; frame--)
    after[frame - firstFrame] = after[frame - firstFrame + 1]! + isLost(frame, toDeg);
  // whole frames lie between two starts, so every one of them turns through the same angles
  const lateS = firstFrame / captureFps - earliestS;
  const turning = Math.max(0, Math.ceil((durationS - lateS) * captureFps - 1e-6));
  const degs = Float64Array.from(
    { length: turning },
    (_, k) => fromDeg + (toDeg - fromDeg) * eased(easing, (lateS + k / captureFps) / durationS),
  );
  return (k: number, mostLost: number): number => {
    const start = Math.min(k, endFrame - firstFrame);
    const end = Math.min(start + turning, endFrame - firstFrame);
    let lost = before[start]! + after[end]!;
    for (let at = start; at < end && lost <= mostLost; at++) lost += isLost(firstFrame + at, degs[at - start]!);
    return lost;
  };
}

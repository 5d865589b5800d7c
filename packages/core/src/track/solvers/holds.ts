import { type LensRing, withinReach } from '../../kit/index.js';
import { landingWindow, minPullTimeS } from '../../hand/index.js';
import { activeBeats, handAt, keyFrameOf, type ShotPlan, zoneLensAt } from '../../plan/index.js';
import type { Tube } from '../tube.js';

/** Ring angles possible for one hold, and its range of required frames. */
export interface HoldWindow {
  readonly lowDeg: number;
  readonly highDeg: number;
  readonly firstNeeded: number;
  readonly lastNeeded: number;
}

/** An unbroken run of required frames. */
interface Run extends HoldWindow {
  /** Whether a single angle keeps all of them */
  readonly isKept: boolean;
}

/** Frames of the key moments of a plan. */
export function keyFramesOf(plan: ShotPlan, frames: number): ReadonlySet<number> {
  return new Set(activeBeats(plan).flatMap((beat) => keyFrameOf(beat, plan.captureFps, frames) ?? []));
}

/** What limits the changes between holds: the plan, its ring, and the hand. */
export interface SolverContext {
  readonly plan: ShotPlan;
  readonly ring: LensRing;
}

/**
 * Fewest holds that keep every required frame, with changes only in frames without requirement that give the hand enough time.
 *
 * Dynamic program over runs of required frames: each hold covers consecutive runs. Between two holds the hand reaches an
 * interval of angles in the available time.
 *
 * @returns null if there is no such set of holds
 */
export function reachableHolds(tube: Tube, turning: SolverContext): HoldWindow[] | null {
  const runs = runsOf(tube);
  if (runs.some(({ isKept }) => !isKept)) return null;
  // by last run of a hold: fewest holds so far, with the angles possible for that hold
  const best: { count: number; from: number; before: number; setting: HoldWindow }[][] = [];
  for (let last = 0; last < runs.length; last++) {
    const found: (typeof best)[number] = [];
    for (let first = last; first >= 0; first--) {
      const room = merged(runs, first, last);
      if (!room) break;
      if (first === 0) found.push({ count: 1, from: 0, before: -1, setting: room });
      else
        best[first - 1]!.forEach((way, before) => {
          const within = reachableWindow(way.setting, room, turning);
          if (within) found.push({ count: way.count + 1, from: first, before, setting: within });
        });
    }
    best.push(withoutDominated(found));
  }
  const ways = best[runs.length - 1]!;
  if (ways.length === 0) return null;
  let at = ways.reduce((least, way, index) => (way.count < ways[least]!.count ? index : least), 0);
  const windows: HoldWindow[] = [];
  for (let last = runs.length - 1; last >= 0;) {
    const way = best[last]![at]!;
    windows.unshift(way.setting);
    [last, at] = [way.from - 1, way.before];
  }
  return narrowBackwards(windows, turning);
}

/** Drops dominated candidates: more holds, no extra reachable angle. */
function withoutDominated<T extends { readonly count: number; readonly setting: HoldWindow }>(ways: readonly T[]): T[] {
  const covers = (a: HoldWindow, b: HoldWindow) => a.lowDeg <= b.lowDeg && a.highDeg >= b.highDeg;
  return ways.filter(
    (way, index) =>
      !ways.some(
        (other, at) =>
          at !== index &&
          covers(other.setting, way.setting) &&
          (other.count < way.count || (other.count === way.count && (at < index || !covers(way.setting, other.setting)))),
      ),
  );
}

function runsOf({ lowDeg, highDeg, required }: Tube): Run[] {
  const runs: Run[] = [];
  for (let frame = 0; frame < required.length; frame++) {
    if (!required[frame]) continue;
    const firstNeeded = frame;
    let [low, high] = [-Infinity, Infinity];
    for (; frame < required.length && required[frame]; frame++) {
      low = Math.max(low, lowDeg[frame]!);
      high = Math.min(high, highDeg[frame]!);
    }
    runs.push({ lowDeg: low, highDeg: high, firstNeeded, lastNeeded: frame - 1, isKept: low <= high });
  }
  return runs;
}

/** One hold for several runs; null if no angle keeps them all. */
function merged(runs: readonly Run[], first: number, last: number): HoldWindow | null {
  let [low, high] = [-Infinity, Infinity];
  for (let index = first; index <= last; index++) {
    low = Math.max(low, runs[index]!.lowDeg);
    high = Math.min(high, runs[index]!.highDeg);
  }
  return low <= high
    ? { lowDeg: low, highDeg: high, firstNeeded: runs[first]!.firstNeeded, lastNeeded: runs[last]!.lastNeeded }
    : null;
}

/** Angles of the next hold that the hand reaches from a hold in the time between them; null if none. */
function reachableWindow(from: HoldWindow, to: HoldWindow, turning: SolverContext): HoldWindow | null {
  const availableS = timeBetweenS(from, to, turning.plan.captureFps);
  const nearestDeg = Math.min(Math.max((from.lowDeg + from.highDeg) / 2, to.lowDeg), to.highDeg);
  const farDeg = maxTurnDeg(turning, nearestDeg, to.firstNeeded, availableS);
  const [lowDeg, highDeg] = [Math.max(to.lowDeg, from.lowDeg - farDeg), Math.min(to.highDeg, from.highDeg + farDeg)];
  return lowDeg <= highDeg ? { ...to, lowDeg, highDeg } : null;
}

/** Narrows holds from the last one back, so that each still reaches the next. */
function narrowBackwards(windows: readonly HoldWindow[], turning: SolverContext): HoldWindow[] {
  const narrowed = [...windows];
  for (let index = windows.length - 2; index >= 0; index--) {
    const [from, to] = [narrowed[index]!, narrowed[index + 1]!];
    const landsDeg = Math.min(Math.max((from.lowDeg + from.highDeg) / 2, to.lowDeg), to.highDeg);
    const farDeg = maxTurnDeg(turning, landsDeg, to.firstNeeded, timeBetweenS(from, to, turning.plan.captureFps));
    const [lowDeg, highDeg] = [Math.max(from.lowDeg, to.lowDeg - farDeg), Math.min(from.highDeg, to.highDeg + farDeg)];
    narrowed[index] = lowDeg <= highDeg ? { ...from, lowDeg, highDeg } : from;
  }
  return narrowed;
}

export function timeBetweenS(from: HoldWindow, to: HoldWindow, captureFps: number): number {
  return (to.firstNeeded - from.lastNeeded) / captureFps;
}

/** Minimum time a hand needs between two angles, landing at a frame. */
export function turnTimeS({ plan, ring }: SolverContext, fromDeg: number, toDeg: number, landsFrame: number): number {
  const hand = handAt(plan, landsFrame / plan.captureFps);
  return minPullTimeS({ ...plan, hand }, Math.abs(toDeg - fromDeg), windowDeg(plan, ring, toDeg, landsFrame));
}

/** Largest turn that lands at an angle within the available time, by bisection. */
function maxTurnDeg({ plan, ring }: SolverContext, landsDeg: number, landsFrame: number, availableS: number): number {
  const width = windowDeg(plan, ring, landsDeg, landsFrame);
  const turning = { ...plan, hand: handAt(plan, landsFrame / plan.captureFps) };
  const gets = (travelDeg: number) => minPullTimeS(turning, travelDeg, width) <= availableS;
  let [low, high] = [0, ring.throwDeg];
  if (gets(high)) return high;
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (gets(middle)) low = middle;
    else high = middle;
  }
  return low;
}

function windowDeg(plan: ShotPlan, ring: LensRing, landsDeg: number, frame: number): number {
  return landingWindow(zoneLensAt(plan.optics, frame / plan.captureFps), ring, withinReach(ring, ring.distanceAt(landsDeg)))
    .widthDeg;
}

import { type LensRing, withinReach } from '../../kit/index.js';
import { landingWindow } from '../landingWindow.js';
import { leastMoveS } from '../moveNeed.js';
import { zoneLensAt } from '../opticsTrack.js';
import type { ShotPlan } from '../shotPlan.js';
import type { Tube } from '../tube.js';

/** A setting: between which angles, and from which needed frame to which. */
export interface Setting {
  readonly lowDeg: number;
  readonly highDeg: number;
  readonly firstNeeded: number;
  readonly lastNeeded: number;
}

/** Frames in which something is asked, without a break. */
interface Run extends Setting {
  /** Whether one setting keeps all of it */
  readonly isKept: boolean;
}

/** How a change of setting sits with the hand. */
export interface Turning {
  readonly plan: ShotPlan;
  readonly ring: LensRing;
}

/**
 * The fewest settings that keep every needed frame with a change only where nothing is asked, for long enough that the hand gets there.
 *
 * Settings are told apart by runs of needed frames: a setting keeps some runs that follow on each other, and of all ways to part the runs the one with the fewest settings is taken. From one setting to the next a hand gets so far in the time there is, and so to an interval of angles.
 *
 * @returns null where no such settings exist
 */
export function handHolds(tube: Tube, turning: Turning): Setting[] | null {
  const runs = runsOf(tube);
  if (runs.some(({ isKept }) => !isKept)) return null;
  // for each run as the last one of a setting: the fewest settings so far, and the angles such a setting can have
  const best: { count: number; from: number; before: number; setting: Setting }[][] = [];
  for (let last = 0; last < runs.length; last++) {
    const found: (typeof best)[number] = [];
    for (let first = last; first >= 0; first--) {
      const room = joined(runs, first, last);
      if (!room) break;
      if (first === 0) found.push({ count: 1, from: 0, before: -1, setting: room });
      else
        best[first - 1]!.forEach((way, before) => {
          const within = reachedFrom(way.setting, room, turning);
          if (within) found.push({ count: way.count + 1, from: first, before, setting: within });
        });
    }
    best.push(notWorse(found));
  }
  const ways = best[runs.length - 1]!;
  if (ways.length === 0) return null;
  let at = ways.reduce((least, way, index) => (way.count < ways[least]!.count ? index : least), 0);
  const settings: Setting[] = [];
  for (let last = runs.length - 1; last >= 0;) {
    const way = best[last]![at]!;
    settings.unshift(way.setting);
    [last, at] = [way.from - 1, way.before];
  }
  return narrowedBack(settings, turning);
}

/** Ways that have more settings than another and reach no angle that it does not are never needed. */
function notWorse<T extends { readonly count: number; readonly setting: Setting }>(ways: readonly T[]): T[] {
  const covers = (a: Setting, b: Setting) => a.lowDeg <= b.lowDeg && a.highDeg >= b.highDeg;
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

/** One setting for several runs; null where none keeps them all. */
function joined(runs: readonly Run[], first: number, last: number): Setting | null {
  let [low, high] = [-Infinity, Infinity];
  for (let index = first; index <= last; index++) {
    low = Math.max(low, runs[index]!.lowDeg);
    high = Math.min(high, runs[index]!.highDeg);
  }
  return low <= high
    ? { lowDeg: low, highDeg: high, firstNeeded: runs[first]!.firstNeeded, lastNeeded: runs[last]!.lastNeeded }
    : null;
}

/** Of a setting, the angles a hand gets to from another in the time between them; null for none. */
function reachedFrom(from: Setting, to: Setting, turning: Turning): Setting | null {
  const availableS = timeBetweenS(from, to, turning.plan.captureFps);
  const nearestDeg = Math.min(Math.max((from.lowDeg + from.highDeg) / 2, to.lowDeg), to.highDeg);
  const farDeg = farthestTurnDeg(turning, nearestDeg, to.firstNeeded, availableS);
  const [lowDeg, highDeg] = [Math.max(to.lowDeg, from.lowDeg - farDeg), Math.min(to.highDeg, from.highDeg + farDeg)];
  return lowDeg <= highDeg ? { ...to, lowDeg, highDeg } : null;
}

/** Settings narrowed from the last one back, so that each still gets to the next. */
function narrowedBack(settings: readonly Setting[], turning: Turning): Setting[] {
  const narrowed = [...settings];
  for (let index = settings.length - 2; index >= 0; index--) {
    const [from, to] = [narrowed[index]!, narrowed[index + 1]!];
    const landsDeg = Math.min(Math.max((from.lowDeg + from.highDeg) / 2, to.lowDeg), to.highDeg);
    const farDeg = farthestTurnDeg(turning, landsDeg, to.firstNeeded, timeBetweenS(from, to, turning.plan.captureFps));
    const [lowDeg, highDeg] = [Math.max(from.lowDeg, to.lowDeg - farDeg), Math.min(from.highDeg, to.highDeg + farDeg)];
    narrowed[index] = lowDeg <= highDeg ? { ...from, lowDeg, highDeg } : from;
  }
  return narrowed;
}

export function timeBetweenS(from: Setting, to: Setting, captureFps: number): number {
  return (to.firstNeeded - from.lastNeeded) / captureFps;
}

/** The least time a hand needs from one angle to another, landing at a frame. */
export function turnS({ plan, ring }: Turning, fromDeg: number, toDeg: number, landsFrame: number): number {
  return leastMoveS(plan, Math.abs(toDeg - fromDeg), windowDeg(plan, ring, toDeg, landsFrame));
}

/** How far a hand turns in a time, to land at an angle: the turn whose least time it is, found by halving. */
function farthestTurnDeg({ plan, ring }: Turning, landsDeg: number, landsFrame: number, availableS: number): number {
  const width = windowDeg(plan, ring, landsDeg, landsFrame);
  const gets = (travelDeg: number) => leastMoveS(plan, travelDeg, width) <= availableS;
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

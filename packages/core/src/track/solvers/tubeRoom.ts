import type { Tube } from '../tube.js';

/** Why no track meets the requirements: nothing does at one moment, or the ring would have to turn too fast. */
export interface Impossibility {
  readonly fromS: number;
  readonly why: 'at-once' | 'too-fast';
}

/**
 * Whether some track meets all requirements with a limited turn per frame. Exact: the reachable angles form an interval. It
 * grows by the turn of one frame and is then cut by the next frame's band.
 *
 * @param maxDeg - ring degrees between two frames
 * @returns null if one does; else the first frame that can't be reached
 */
export function findImpossible({ lowDeg, highDeg, required }: Tube, mostDeg: number, captureFps: number): Impossibility | null {
  let [low, high] = [-Infinity, Infinity];
  for (let frame = 0; frame < required.length; frame++) {
    const isEmpty = lowDeg[frame]! > highDeg[frame]!;
    if (isEmpty) return { fromS: frame / captureFps, why: 'at-once' };
    [low, high] = [Math.max(low - mostDeg, lowDeg[frame]!), Math.min(high + mostDeg, highDeg[frame]!)];
    if (low > high) return { fromS: frame / captureFps, why: 'too-fast' };
  }
  return null;
}

/** The tube without impossible frames: they become frames without requirement. */
export function possibleTube(tube: Tube, reach: { readonly lowDeg: number; readonly highDeg: number }): Tube {
  const possible = { lowDeg: tube.lowDeg.slice(), highDeg: tube.highDeg.slice(), required: tube.required.slice() };
  for (let frame = 0; frame < possible.required.length; frame++) {
    if (possible.lowDeg[frame]! <= possible.highDeg[frame]!) continue;
    possible.required[frame] = 0;
    possible.lowDeg[frame] = reach.lowDeg;
    possible.highDeg[frame] = reach.highDeg;
  }
  return possible;
}

/** The tube without frames that a ring with a limited turn per frame reaches too late. */
export function reachableTube(tube: Tube, reach: { readonly lowDeg: number; readonly highDeg: number }, mostDeg: number): Tube {
  const kept = { lowDeg: tube.lowDeg.slice(), highDeg: tube.highDeg.slice(), required: tube.required.slice() };
  let [low, high] = [-Infinity, Infinity];
  for (let frame = 0; frame < kept.required.length; frame++) {
    const [nextLow, nextHigh] = [Math.max(low - mostDeg, kept.lowDeg[frame]!), Math.min(high + mostDeg, kept.highDeg[frame]!)];
    if (nextLow <= nextHigh) [low, high] = [nextLow, nextHigh];
    else {
      kept.required[frame] = 0;
      [kept.lowDeg[frame], kept.highDeg[frame]] = [reach.lowDeg, reach.highDeg];
      [low, high] = [Math.max(low - mostDeg, reach.lowDeg), Math.min(high + mostDeg, reach.highDeg)];
    }
  }
  return kept;
}

/**
 * Narrows the tube so that a track along its side keeps some room: a share of the distance between each side and the middle. It
 * is limited to that share of the median room, because a beat that must be soft leaves half of the ring.
 *
 * @param share - 0 to 1; 0 leaves the tube unchanged except for rounding
 * @param keyFrames - frames that keep most of their room, because they must not fail
 */
export function inset({ lowDeg, highDeg, required }: Tube, share: number, keyFrames: ReadonlySet<number> = NO_FRAMES): Tube {
  const narrower = { lowDeg: lowDeg.slice(), highDeg: highDeg.slice(), required };
  const halfOf = (frame: number) => (highDeg[frame]! - lowDeg[frame]!) / 2;
  const halves = Float64Array.from([...required.keys()].filter((frame) => required[frame]).map(halfOf)).sort();
  const usualDeg = halves[halves.length >> 1] ?? 0;
  for (let frame = 0; frame < required.length; frame++) {
    if (!required[frame]) continue;
    const half = halfOf(frame);
    const keptDeg = keyFrames.has(frame) ? half * Math.min(1, share * KEY_ROOM_FACTOR) : Math.min(half, usualDeg) * share;
    const by = Math.max(keptDeg, Math.min(half, EDGE_MARGIN_DEG));
    narrower.lowDeg[frame]! += by;
    narrower.highDeg[frame]! -= by;
  }
  return narrower;
}

/** A track exactly on the edge of the tube would be sharp or soft depending on rounding. */
const EDGE_MARGIN_DEG = 1e-7;

/** A key moment keeps this many times the room of other frames. */
const KEY_ROOM_FACTOR = 3;

const NO_FRAMES: ReadonlySet<number> = new Set();

/** Insets the tube as far as a ring with a limited turn per frame allows, at most by `share`. */
export function insetWithinReach(tube: Tube, share: number, mostDeg: number, keyFrames: ReadonlySet<number>): Tube {
  for (const less of [1, 0.75, 0.5, 0.25, 0.1]) {
    const narrower = inset(tube, share * less, keyFrames);
    if (findImpossible(narrower, mostDeg, 1) === null) return narrower;
  }
  return inset(tube, 0);
}

import type { Tube } from '../tube.js';

/** Why no line keeps what is asked: nothing does at one moment, or the ring would have to turn faster than it is turned. */
export interface Impossible {
  readonly fromS: number;
  readonly why: 'at-once' | 'too-fast';
}

/**
 * Whether any line keeps what is asked, turning at most so far from frame to frame. Exact: the angles that can have been reached by a frame are an interval, which widens by a frame's turn and is
 * cut by what the next frame asks.
 *
 * @param mostDeg - of ring, from one frame to the next
 * @returns null where one does; else the first frame that none gets to
 */
export function impossibleIn({ lowDeg, highDeg, required }: Tube, mostDeg: number, captureFps: number): Impossible | null {
  let [low, high] = [-Infinity, Infinity];
  for (let frame = 0; frame < required.length; frame++) {
    const isEmpty = lowDeg[frame]! > highDeg[frame]!;
    if (isEmpty) return { fromS: frame / captureFps, why: 'at-once' };
    [low, high] = [Math.max(low - mostDeg, lowDeg[frame]!), Math.min(high + mostDeg, highDeg[frame]!)];
    if (low > high) return { fromS: frame / captureFps, why: 'too-fast' };
  }
  return null;
}

/** The tube without the frames that nothing keeps: there nothing is asked, and the ring may stand anywhere. */
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

/** The tube without the frames that a ring that turns at most so far a frame comes too late for. */
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
 * The tube made narrower, so that a line along its side keeps some room: of what lies between each side and the middle a share, and nowhere more than that share of what there usually is. Someone who must be
 * soft leaves half of the ring, and a line need not stand in the middle of that.
 *
 * @param share - 0 to 1; 0 leaves it as it is but for the last digits
 */
export function inset({ lowDeg, highDeg, required }: Tube, share: number): Tube {
  const narrower = { lowDeg: lowDeg.slice(), highDeg: highDeg.slice(), required };
  const halfOf = (frame: number) => (highDeg[frame]! - lowDeg[frame]!) / 2;
  const halves = Float64Array.from([...required.keys()].filter((frame) => required[frame]).map(halfOf)).sort();
  const usualDeg = halves[halves.length >> 1] ?? 0;
  for (let frame = 0; frame < required.length; frame++) {
    if (!required[frame]) continue;
    const half = halfOf(frame);
    const by = Math.max(Math.min(half, usualDeg) * share, Math.min(half, LAST_DIGITS_DEG));
    narrower.lowDeg[frame]! += by;
    narrower.highDeg[frame]! -= by;
  }
  return narrower;
}

/** A line exactly on the edge of the tube would be sharp or soft by how its distance is rounded. */
const LAST_DIGITS_DEG = 1e-7;

/** As much room as a ring that turns at most so far a frame can keep: the share that is asked, or less. */
export function insetInReach(tube: Tube, share: number, mostDeg: number): Tube {
  for (const less of [1, 0.75, 0.5, 0.25, 0.1]) {
    const narrower = inset(tube, share * less);
    if (impossibleIn(narrower, mostDeg, 1) === null) return narrower;
  }
  return inset(tube, 0);
}

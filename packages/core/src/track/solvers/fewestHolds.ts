import { CoreError } from '../../errors.js';

/** Allowed band: by frame, the ring angles at which every required subject is sharp. All arrays have equal length. */
export interface HoldTube {
  /** Where `required` is not 0: `lowDeg <= highDeg` */
  readonly lowDeg: ArrayLike<number>;
  readonly highDeg: ArrayLike<number>;
  /** 0 for a frame in which nothing is required */
  readonly required: ArrayLike<number>;
}

/** A constant ring angle over a range of frames. */
export interface RingHold {
  readonly fromFrame: number;
  /** First frame after it */
  readonly toFrame: number;
  readonly ringDeg: number;
}

/**
 * Fewest constant ring angles that keep every required frame inside the tube. The holds cover all frames without gaps; a hold
 * extends over frames without requirement. Each angle is the middle of its feasible interval.
 *
 * @returns no hold for a tube without frames, one hold for a tube without requirement
 * @throws {CoreError} `lengths-differ`, `not-a-number`, `no-room` naming the first required frame with an empty interval
 * Source: greedy interval stabbing. Each hold lasts as long as one angle fits all of its frames, which no other choice
 * outlasts.
 * @example low [10, 12, 30], high [20, 18, 40], all required: two holds, at 15 and 35
 */
export function fewestHolds({ lowDeg, highDeg, required }: HoldTube): RingHold[] {
  const frames = required.length;
  if (lowDeg.length !== frames || highDeg.length !== frames)
    throw new CoreError({
      code: 'lengths-differ',
      path: 'tube',
      values: { lows: lowDeg.length, highs: highDeg.length, frames },
    });
  const holds: RingHold[] = [];
  let fromFrame = 0;
  let [low, high] = [-Infinity, Infinity];
  const close = (toFrame: number) => holds.push({ fromFrame, toFrame, ringDeg: middle(low, high) });
  for (let frame = 0; frame < frames; frame++) {
    if (!required[frame]) continue;
    const [frameLow, frameHigh] = [lowDeg[frame]!, highDeg[frame]!];
    assertRoom(frame, frameLow, frameHigh);
    if (Math.max(low, frameLow) > Math.min(high, frameHigh)) {
      close(frame);
      fromFrame = frame;
      [low, high] = [-Infinity, Infinity];
    }
    low = Math.max(low, frameLow);
    high = Math.min(high, frameHigh);
  }
  if (frames > 0) close(frames);
  return holds;
}

function assertRoom(frame: number, low: number, high: number): void {
  if (low <= high) return;
  const path = `tube[${frame}]`;
  if (Number.isNaN(low) || Number.isNaN(high))
    throw new CoreError({ code: 'not-a-number', path, values: { given: `${low} to ${high}` } });
  throw new CoreError({ code: 'no-room', path, values: { low, high } });
}

/** Middle of an interval; for an interval without an end, the other end, or 0. */
function middle(low: number, high: number): number {
  if (Number.isFinite(low) && Number.isFinite(high)) return (low + high) / 2;
  if (Number.isFinite(low)) return low;
  return Number.isFinite(high) ? high : 0;
}

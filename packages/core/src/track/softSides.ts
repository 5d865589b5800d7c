import type { SharpWindow, Tube } from './allowedBand.js';

/** Side of a window on which the ring stays, so that its subject is soft. */
export type SoftSide = 'below' | 'above';

/** A beat that must be soft: by frame, the ring angles that are too sharp. */
export type SoftWindows = readonly (readonly [frame: number, window: SharpWindow])[];

/** Beats whose sides are tried all together: 256 combinations. */
const TRIED_TOGETHER = 8;

/**
 * Chooses the side of every beat that must be soft, all beats together: as few frames as possible that no track keeps, then as little
 * turn as possible. Up to eight beats it is exact. Of more, eight at a time are tried together, until none changes any more.
 *
 * @param tube - what must be sharp
 * @param mostDeg - largest turn per frame
 */
export function softSides(tube: Tube, beats: readonly SoftWindows[], mostDeg: number): SoftSide[] {
  let sides = beats.map((): SoftSide => 'below');
  const byFrame = windowsByFrame(tube.required.length, beats);
  const costOf = (tried: readonly SoftSide[]) => cost(tube, byFrame, tried, mostDeg);
  let least = costOf(sides);
  const groups = Array.from({ length: Math.max(1, beats.length - TRIED_TOGETHER + 1) }, (_, from) => from);
  for (let hasChanged = true; hasChanged;) {
    hasChanged = false;
    for (const from of groups)
      for (const tried of combinations(sides, from)) {
        const now = costOf(tried);
        if (now.lost > least.lost || (now.lost === least.lost && now.turnDeg >= least.turnDeg - 1e-9)) continue;
        [sides, least, hasChanged] = [tried, now, beats.length > TRIED_TOGETHER];
      }
  }
  return sides;
}

/** All combinations of the sides of a group of beats; the others stay. */
function combinations(sides: readonly SoftSide[], from: number): SoftSide[][] {
  const count = Math.min(TRIED_TOGETHER, sides.length - from);
  return Array.from({ length: 2 ** count }, (_, bits) =>
    sides.map((side, beat) => {
      if (beat < from || beat >= from + count) return side;
      return (bits >> (beat - from)) % 2 === 0 ? 'below' : 'above';
    }),
  );
}

type WindowsByFrame = readonly (readonly { readonly beat: number; readonly window: SharpWindow }[])[];

function windowsByFrame(frames: number, beats: readonly SoftWindows[]): WindowsByFrame {
  const byFrame: { beat: number; window: SharpWindow }[][] = Array.from({ length: frames }, () => []);
  for (const [beat, windows] of beats.entries()) for (const [frame, window] of windows) byFrame[frame]!.push({ beat, window });
  return byFrame;
}

/**
 * Frames that are lost by a choice of sides, and the least turn that keeps the others. Frames are lost if no angle keeps them, or if the
 * ring gets there too late.
 */
function cost({ lowDeg, highDeg, required }: Tube, byFrame: WindowsByFrame, sides: readonly SoftSide[], mostDeg: number) {
  let [lost, turnDeg] = [0, 0];
  // angles that the ring can have reached, and those among which least turn is undecided
  let [reachLow, reachHigh, restLow, restHigh] = [-Infinity, Infinity, -Infinity, Infinity];
  for (let frame = 0; frame < required.length; frame++) {
    let [low, high] = [lowDeg[frame]!, highDeg[frame]!];
    [reachLow, reachHigh] = [reachLow - mostDeg, reachHigh + mostDeg];
    if (!required[frame] && byFrame[frame]!.length === 0) {
      [reachLow, reachHigh] = [Math.max(reachLow, low), Math.min(reachHigh, high)];
      continue;
    }
    for (const { beat, window } of byFrame[frame]!) {
      if (sides[beat] === 'below') high = Math.min(high, window.lowDeg);
      else low = Math.max(low, window.highDeg);
    }
    if (low > high || low > reachHigh || high < reachLow) {
      lost++;
      continue;
    }
    [reachLow, reachHigh] = [Math.max(reachLow, low), Math.min(reachHigh, high)];
    if (low > restHigh) [turnDeg, restLow, restHigh] = [turnDeg + low - restHigh, low, low];
    else if (high < restLow) [turnDeg, restLow, restHigh] = [turnDeg + restLow - high, high, high];
    else [restLow, restHigh] = [Math.max(restLow, low), Math.min(restHigh, high)];
  }
  return { lost, turnDeg };
}

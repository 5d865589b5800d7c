import { eased } from '../../hand/index.js';
import type { Tube } from '../tube.js';
import { type SolverContext, turnTimeS } from './holds.js';

/** A change between two of the holds: first frame under way, and frame of the landing. */
export interface HoldChange {
  readonly to: number;
  readonly fromFrame: number;
  readonly byFrame: number;
}

export interface LeastLoss {
  /** Index of the hold at the start */
  readonly first: number;
  readonly jumps: readonly HoldChange[];
}

/** Cost of a change in lost frames: of two equally good tracks, the one with fewer changes wins. */
const COST_PER_CHANGE = 1e-3;

/**
 * Chooses which of several ring angles to hold when, so that the fewest frames are lost, each change at the hand's minimum
 * time. Dynamic program over frames and angles.
 *
 * @param degs - ring angles of the holds, at least one
 */
export function fewestLostFrames(
  turning: SolverContext,
  { lowDeg, highDeg, required }: Tube,
  degs: readonly number[],
): LeastLoss {
  const frames = required.length;
  const { captureFps } = turning.plan;
  const count = degs.length;
  // the angles within which no frame is lost, by frame: all of them where nothing is required
  const fromDeg = lowDeg.map((deg, frame) => (required[frame] === 1 ? deg - 1e-9 : -Infinity));
  const toDeg = highDeg.map((deg, frame) => (required[frame] === 1 ? deg + 1e-9 : Infinity));
  const isLost = (frame: number, deg: number) => deg < fromDeg[frame]! || deg > toDeg[frame]!;
  const turns = changeAngles(turning, degs, captureFps);
  // cost of holding an angle after the previous frames, and the change that led there, by frame and angle
  const cost = new Float64Array((frames + 1) * count).fill(Infinity, count);
  const cameBy = new Int32Array((frames + 1) * count).fill(-1);
  for (let frame = 0; frame < frames; frame++) {
    for (let from = 0; from < count; from++) {
      const now = cost[frame * count + from]!;
      const stays = now + (isLost(frame, degs[from]!) ? 1 : 0);
      const next = (frame + 1) * count + from;
      if (stays < cost[next]!) {
        cost[next] = stays;
        cameBy[next] = from;
      }
      for (let to = 0; to < count; to++) {
        const turn = turns[from * count + to];
        if (!turn || frame + turn.length > frames) continue;
        const landed = (frame + turn.length) * count + to;
        const most = cost[landed]!;
        let lost = now + COST_PER_CHANGE;
        for (let k = 0; k < turn.length && lost < most; k++) if (isLost(frame + k, turn[k]!)) lost++;
        if (lost >= most) continue;
        cost[landed] = lost;
        cameBy[landed] = from;
      }
    }
  }
  const atEnd = cost.subarray(frames * count);
  let at = atEnd.reduce((best, value, index) => (value < atEnd[best]! ? index : best), 0);
  const jumps: HoldChange[] = [];
  for (let frame = frames; frame > 0;) {
    const from = cameBy[frame * count + at]!;
    const takes = from === at ? 1 : turns[from * count + at]!.length;
    if (from !== at) jumps.unshift({ to: at, fromFrame: frame - takes, byFrame: frame });
    [frame, at] = [frame - takes, from];
  }
  return { first: at, jumps };
}

/** Ring angles of every possible change, frame by frame, at the hand's minimum time: from the first angle to each, then the next. */
function changeAngles(turning: SolverContext, degs: readonly number[], captureFps: number): (Float64Array | null)[] {
  return degs.flatMap((fromDeg) =>
    degs.map((toDeg) => {
      if (fromDeg === toDeg) return null;
      const lastsS = turnTimeS(turning, fromDeg, toDeg, 0);
      const frames = Math.max(1, Math.ceil(lastsS * captureFps));
      return Float64Array.from({ length: frames }, (_, k) => fromDeg + (toDeg - fromDeg) * eased('eased', k / frames));
    }),
  );
}

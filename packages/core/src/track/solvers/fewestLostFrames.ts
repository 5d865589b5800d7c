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
  const isLost = (frame: number, deg: number) =>
    required[frame] === 1 && (deg < lowDeg[frame]! - 1e-9 || deg > highDeg[frame]! + 1e-9);
  const turns = changeAngles(turning, degs, captureFps);
  // cost of holding an angle after the previous frames, and the change that led there
  const cost = Array.from({ length: frames + 1 }, () => new Float64Array(count).fill(Infinity));
  const cameBy = Array.from({ length: frames + 1 }, () => new Int32Array(count).fill(-1));
  cost[0]!.fill(0);
  for (let frame = 0; frame < frames; frame++) {
    for (let from = 0; from < count; from++) {
      const now = cost[frame]![from]!;
      const stays = now + (isLost(frame, degs[from]!) ? 1 : 0);
      if (stays < cost[frame + 1]![from]!) {
        cost[frame + 1]![from] = stays;
        cameBy[frame + 1]![from] = from;
      }
      for (let to = 0; to < count; to++) {
        const turn = turns[from]![to];
        if (!turn || frame + turn.length > frames) continue;
        const landed = frame + turn.length;
        const most = cost[landed]![to]!;
        let lost = now + COST_PER_CHANGE;
        for (let k = 0; k < turn.length && lost < most; k++) if (isLost(frame + k, turn[k]!)) lost++;
        if (lost >= most) continue;
        cost[landed]![to] = lost;
        cameBy[landed]![to] = from;
      }
    }
  }
  let at = cost[frames]!.reduce((best, value, index) => (value < cost[frames]![best]! ? index : best), 0);
  const jumps: HoldChange[] = [];
  for (let frame = frames; frame > 0;) {
    const from = cameBy[frame]![at]!;
    const takes = from === at ? 1 : turns[from]![at]!.length;
    if (from !== at) jumps.unshift({ to: at, fromFrame: frame - takes, byFrame: frame });
    [frame, at] = [frame - takes, from];
  }
  return { first: at, jumps };
}

/** Ring angles of every possible change, frame by frame, at the hand's minimum time. */
function changeAngles(turning: SolverContext, degs: readonly number[], captureFps: number): (Float64Array | null)[][] {
  return degs.map((fromDeg) =>
    degs.map((toDeg) => {
      if (fromDeg === toDeg) return null;
      const lastsS = turnTimeS(turning, fromDeg, toDeg, 0);
      const frames = Math.max(1, Math.ceil(lastsS * captureFps));
      return Float64Array.from({ length: frames }, (_, k) => fromDeg + (toDeg - fromDeg) * eased('eased', k / frames));
    }),
  );
}

import { minimumJerk } from '../floor/index.js';
import { type LensRing, withinReach } from '../kit/index.js';
import { planDistances } from './planDistances.js';
import { type LineTarget, rackEndS, type ShotPlan } from './shotPlan.js';

/** A target put on the ring: where it is, and whether the ring gets there. */
export interface LineSetting {
  readonly target: LineTarget;
  readonly wantedMm: number;
  /** `wantedMm`, or the end of the ring when it does not reach that far or near */
  readonly distanceMm: number;
  readonly ringDeg: number;
  readonly reachable: boolean;
}

/** A rack put on the ring. */
export interface LineMove {
  readonly moveId: string;
  readonly startS: number;
  readonly endS: number;
  readonly from: LineSetting;
  readonly to: LineSetting;
}

/** The focus line in ring angle over time. */
export interface FocusLine {
  readonly start: LineSetting;
  readonly moves: readonly LineMove[];
  /** Ring angle at a time of the shot: holds, and minimum jerk in ring angle during a rack. */
  ringDegAt(timeS: number): number;
}

/**
 * Lays the planned holds and racks on the ring.
 *
 * @returns null while the line has no start
 */
export function focusLine(plan: ShotPlan, ring: LensRing): FocusLine | null {
  const { markFocusMm: distances } = planDistances(plan);
  if (plan.line.start === null) return null;
  const start = settingOf(plan.line.start, distances, ring);
  let from = start;
  const moves = plan.line.moves.map((rack): LineMove => {
    const move = {
      moveId: rack.id,
      startS: rack.startS,
      endS: rackEndS(rack),
      from,
      to: settingOf(rack.target, distances, ring),
    };
    from = move.to;
    return move;
  });
  return {
    start,
    moves,
    ringDegAt(timeS) {
      let ringDeg = start.ringDeg;
      for (const move of moves) {
        if (timeS < move.startS) return ringDeg;
        if (timeS < move.endS) {
          return ringDeg + (move.to.ringDeg - ringDeg) * minimumJerk((timeS - move.startS) / (move.endS - move.startS));
        }
        ringDeg = move.to.ringDeg;
      }
      return ringDeg;
    },
  };
}

/** The distance a target stands for, Infinity for none. */
export function targetDistanceMm(target: LineTarget, distances: ReadonlyMap<string, number>): number {
  return target.kind === 'mark' ? distances.get(target.markId)! : (target.distanceMm ?? Infinity);
}

function settingOf(target: LineTarget, distances: ReadonlyMap<string, number>, ring: LensRing): LineSetting {
  const wantedMm = targetDistanceMm(target, distances);
  const distanceMm = withinReach(ring, wantedMm);
  return { target, wantedMm, distanceMm, ringDeg: ring.angleAt(distanceMm), reachable: distanceMm === wantedMm };
}

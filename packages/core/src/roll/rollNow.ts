import { heldOnRing, type LensRing, nearSign, ringOf, wheelDegOf, wheelNearerTurns } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import {
  type FocusLine,
  focusLine,
  type LineMove,
  type LineTarget,
  type Rack,
  type ShotPlan,
  zoneLensAt,
} from '../pull/index.js';

/** A position of the ring, actual or planned. */
export interface RingFigure {
  readonly distanceMm: number;
  readonly ringDeg: number;
  /** Degrees of the wheel, or of the ring without a wheel, from its position at the farthest distance */
  readonly wheelDeg: number;
  readonly zone: { readonly nearMm: number; readonly farMm: number };
}

/** The next pull, or the one under way. */
export interface ComingPull {
  readonly moveId: string;
  readonly target: LineTarget;
  readonly to: RingFigure;
  /** Seconds until its start; 0 once it has started */
  readonly startsInS: number;
  /** Seconds until its planned landing */
  readonly landsInS: number;
  readonly isUnderWay: boolean;
  readonly durationS: number;
  readonly way: 'nearer' | 'farther';
  /** Direction in which the wheel, or the ring, turns */
  readonly turns: 'clockwise' | 'anticlockwise';
  /** Wheel degrees */
  readonly travelDeg: number;
  readonly cueKind: Rack['cueKind'];
  readonly cue: string;
}

/** What Roll shows at a plan time. */
export interface RollFigures {
  readonly now: RingFigure;
  /** Target that the track holds, tracks, or has just left */
  readonly at: LineTarget;
  /** The pull under way first, then the following ones */
  readonly coming: readonly ComingPull[];
}

/** A plan prepared for queries at any time; the page makes sixty per second. */
export interface RollPlan {
  readonly line: FocusLine;
  figuresAt(planS: number): RollFigures;
  /** Position of a ring angle at a plan time */
  figureOf(ringDeg: number, planS: number): RingFigure;
}

/**
 * Prepares a plan for rolling.
 *
 * @returns null if the track has no start
 */
export function rollPlan(plan: ShotPlan): RollPlan | null {
  const ring = ringOf(plan.optics.lens);
  const line = focusLine(plan, ring);
  if (!line) return null;
  const farDeg = ring.angleAt(ring.farthestMm);
  const figureOf = (ringDeg: number, planS: number) => ringFigure(plan, ring, farDeg, ringDeg, planS);
  const towardsNear = nearSign(ring);
  const nearerTurns = wheelNearerTurns(plan.wheel, plan.optics.lens.nearerTurns);
  const coming = line.moves.map((move) => {
    const { cueKind, cue } = plan.line.moves.find(({ id }) => id === move.moveId)!;
    const isNearer = (move.to.ringDeg - move.from.ringDeg) * towardsNear >= 0;
    const turns: ComingPull['turns'] = isNearer === (nearerTurns === 'clockwise') ? 'clockwise' : 'anticlockwise';
    return {
      move,
      moveId: move.moveId,
      target: move.to.target,
      to: figureOf(move.to.ringDeg, move.endS),
      durationS: move.endS - move.startS,
      way: isNearer ? ('nearer' as const) : ('farther' as const),
      turns,
      travelDeg: wheelDegOf(plan.wheel, Math.abs(move.to.ringDeg - move.from.ringDeg)),
      cueKind,
      cue,
    };
  });
  return {
    line,
    figureOf,
    figuresAt: (planS) => ({
      now: figureOf(line.ringDegAt(planS), planS),
      at: lastBegun(line.moves, planS)?.to.target ?? line.start.target,
      coming: coming.flatMap(({ move, ...pull }): ComingPull[] =>
        planS >= move.endS
          ? []
          : [
              {
                ...pull,
                startsInS: Math.max(0, move.startS - planS),
                landsInS: move.endS - planS,
                isUnderWay: planS > move.startS,
              },
            ],
      ),
    }),
  };
}

function lastBegun(moves: readonly LineMove[], planS: number): LineMove | undefined {
  return moves.findLast(({ startS }) => planS > startS);
}

function ringFigure(plan: ShotPlan, ring: LensRing, farDeg: number, toldDeg: number, planS: number): RingFigure {
  const ringDeg = heldOnRing(ring, toldDeg);
  const distanceMm = ring.distanceAt(ringDeg);
  const { nearMm, farMm } = depthOfField({ ...zoneLensAt(plan.optics, planS), focusDistanceMm: distanceMm });
  return { distanceMm, ringDeg, wheelDeg: wheelDegOf(plan.wheel, Math.abs(ringDeg - farDeg)), zone: { nearMm, farMm } };
}

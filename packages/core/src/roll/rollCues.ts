import { nearSign, ringOf } from '../kit/index.js';
import { focusLine, type ShotPlan } from '../pull/index.js';

/** Something that is told by eye, by ear or in the hand. Times are the plan's. */
export interface RollCue {
  readonly moveId: string;
  readonly timeS: number;
  /** A count before a pull, its start, or when it is to have landed */
  readonly kind: 'count' | 'start' | 'land';
  /** Of a count, how many are still to come: 3, 2, 1; else 0 */
  readonly left: number;
  /** Whether the pull goes nearer or farther: told by pitch */
  readonly way: 'nearer' | 'farther';
}

/** Counts before a pull, evenly through its lead. */
export const COUNTS = 3;

/** Everything that is told in a roll, in order of time. A count that would lie before the shot is left out. */
export function rollCues(plan: ShotPlan): RollCue[] {
  const ring = ringOf(plan.optics.lens);
  const line = focusLine(plan, ring);
  if (!line) return [];
  const towardsNear = nearSign(ring);
  return line.moves
    .flatMap(({ moveId, startS, endS, from, to }): RollCue[] => {
      const { cueLeadS } = plan.line.moves.find(({ id }) => id === moveId)!;
      const way = (to.ringDeg - from.ringDeg) * towardsNear >= 0 ? 'nearer' : 'farther';
      const counts = Array.from({ length: COUNTS }, (_, k): RollCue => {
        const left = COUNTS - k;
        return { moveId, timeS: startS - (left / COUNTS) * cueLeadS, kind: 'count', left, way };
      });
      return [
        ...counts.filter(({ timeS }) => cueLeadS > 0 && timeS >= 0),
        { moveId, timeS: startS, kind: 'start', left: 0, way },
        { moveId, timeS: endS, kind: 'land', left: 0, way },
      ];
    })
    .sort((a, b) => a.timeS - b.timeS);
}

import { nearSign, ringOf } from '../kit/index.js';
import { focusLine, type ShotPlan } from '../pull/index.js';

/** A signal by eye, by ear or by vibration. Times are plan times. */
export interface RollCue {
  readonly moveId: string;
  readonly timeS: number;
  /** A count before a pull, its start, or its planned landing */
  readonly kind: 'count' | 'start' | 'land';
  /** For a count, the remaining counts: 3, 2, 1; else 0 */
  readonly left: number;
  /** Whether the pull goes nearer or farther; the pitch tells which */
  readonly way: 'nearer' | 'farther';
}

/** Number of counts before a pull, evenly spaced over its count-in. */
export const COUNTS = 3;

/** All signals of a roll in order of time. Counts before the start of the shot are dropped. */
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

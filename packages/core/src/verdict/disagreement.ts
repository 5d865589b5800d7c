import type { Mark } from '../floor/index.js';
import {
  drawnTapeMm,
  type FocusTarget,
  markFocusMm,
  type ShotPlan,
  staleCause,
  withDerivedDistances,
  withTargets,
} from '../plan/index.js';
import { evaluatePull } from './evaluatePull.js';

/** Difference between the taped and the drawn distance of a mark, and its effect. */
export interface Disagreement {
  /** Tape distance of the drawn place */
  readonly drawnMm: number;
  readonly tapedMm: number;
  /** Sharp seconds of the required ones: if the tape is right, and if the drawing is right while the ring is set by the tape */
  readonly sharpS: { readonly byTape: number; readonly byDrawing: number; readonly required: number } | null;
}

/** Smaller differences are ignored. */
const MIN_DIFFERENCE_MM = 5;

/**
 * Compares the tape with the drawing at a mark, and computes the loss if the drawing is right while the ring is set by the
 * tape.
 *
 * @returns null if they agree, if one of them is missing, or if the drawing was moved after the tape was read
 */
export function disagreement(plan: ShotPlan, mark: Mark): Disagreement | null {
  const drawnMm = drawnTapeMm(plan, mark);
  if (mark.method === 'drawn' || mark.distanceMm === null || drawnMm === null || staleCause(plan, mark) === 'drawing')
    return null;
  if (Math.abs(mark.distanceMm - drawnMm) < MIN_DIFFERENCE_MM) return null;
  const asSet = (target: FocusTarget): FocusTarget => {
    if (target.kind !== 'mark' || target.markId !== mark.id) return target;
    const distanceMm = markFocusMm(plan, mark.id);
    return { kind: 'distance', distanceMm: distanceMm === Infinity ? null : distanceMm };
  };
  const drawn = withDerivedDistances({
    ...withTargets(plan, asSet),
    marks: plan.marks.map((item) => (item.id === mark.id ? { ...item, method: 'drawn' as const } : item)),
  });
  const [byTape, byDrawing] = [evaluatePull(plan), evaluatePull(drawn)];
  const isJudged = byTape.status === 'judged' && byDrawing.status === 'judged';
  return {
    drawnMm,
    tapedMm: mark.distanceMm,
    sharpS: isJudged
      ? {
          byTape: byTape.sharpFrames / byTape.captureFps,
          byDrawing: byDrawing.sharpFrames / byDrawing.captureFps,
          required: byTape.requiredFrames / byTape.captureFps,
        }
      : null,
  };
}

import type { Mark } from '../floor/index.js';
import { type LineTarget, planDistances, redrawn, type ShotPlan, withTargets } from '../pull/index.js';
import { evaluatePull } from './evaluatePull.js';

/** What it means that a mark is drawn at one distance and taped at another. */
export interface Disagreement {
  /** What a tape would read where the mark is drawn */
  readonly drawnMm: number;
  readonly tapedMm: number;
  /** Seconds that are sharp of those that must be: if the tape is right, and if the drawing is, with the ring set by the tape all the same */
  readonly sharpS: { readonly byTape: number; readonly byDrawing: number; readonly required: number } | null;
}

/** Differences below this are not told apart. */
const TELLS_MM = 5;

/**
 * How far tape and drawing disagree at a mark, and what it would cost if the drawing were right while the ring goes by the tape.
 *
 * @returns null where they agree, or one of them is not there
 */
export function disagreement(plan: ShotPlan, mark: Mark): Disagreement | null {
  const { markSight, markFocusMm } = planDistances(plan);
  const drawnMm = markSight.get(mark.id)?.tapeMm;
  if (mark.method === 'drawn' || mark.distanceMm === null || drawnMm === undefined) return null;
  if (Math.abs(mark.distanceMm - drawnMm) < TELLS_MM) return null;
  const asSet = (target: LineTarget): LineTarget => {
    if (target.kind !== 'mark' || target.markId !== mark.id) return target;
    const distanceMm = markFocusMm.get(mark.id)!;
    return { kind: 'distance', distanceMm: distanceMm === Infinity ? null : distanceMm };
  };
  const drawn = redrawn({
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

import { ringOf, wheelDegOf, withinReach } from '../kit/index.js';
import { landingWindow } from '../hand/index.js';
import { markFocusMm, type ShotPlan, zoneLensAt } from '../plan/index.js';
import { evaluatePull } from './evaluatePull.js';
import type { PullVerdict } from './pullVerdict.js';

/** Shift of a mark on the ring when the gear of a shot changes. Angles in wheel degrees, or ring degrees without a wheel. */
export interface MarkShift {
  readonly markId: string;
  readonly letter: string;
  readonly beforeDeg: number;
  readonly afterDeg: number;
  readonly windowBeforeDeg: number;
  readonly windowAfterDeg: number;
}

/** Verdicts of a shot with its gear before and after a change. */
export interface PlanComparison {
  readonly before: PullVerdict;
  readonly after: PullVerdict;
  /** Sharp seconds; null if the plan can't be evaluated */
  readonly sharpBeforeS: number | null;
  readonly sharpAfterS: number | null;
  readonly marks: readonly MarkShift[];
}

/**
 * Effects of a change of gear on a shot.
 *
 * @param before - a valid plan
 * @param after - the same plan with other gear
 */
export function comparePlans(before: ShotPlan, after: ShotPlan): PlanComparison {
  const verdicts = { before: evaluatePull(before), after: evaluatePull(after) };
  const sharpS = (verdict: PullVerdict) => (verdict.status === 'judged' ? verdict.sharpFrames / verdict.captureFps : null);
  const [was, becomes] = [placesOf(before), placesOf(after)];
  return {
    ...verdicts,
    sharpBeforeS: sharpS(verdicts.before),
    sharpAfterS: sharpS(verdicts.after),
    marks: before.marks.flatMap(({ id, letter }) => {
      const [old, now] = [was(id), becomes(id)];
      if (!old || !now) return [];
      return [
        {
          markId: id,
          letter,
          beforeDeg: old.atDeg,
          afterDeg: now.atDeg,
          windowBeforeDeg: old.windowDeg,
          windowAfterDeg: now.windowDeg,
        },
      ];
    }),
  };
}

function placesOf(plan: ShotPlan): (markId: string) => { atDeg: number; windowDeg: number } | null {
  const ring = ringOf(plan.optics.lens);
  return (markId) => {
    if (!plan.marks.some(({ id }) => id === markId)) return null;
    const reachedMm = withinReach(ring, markFocusMm(plan, markId));
    const { widthDeg } = landingWindow(zoneLensAt(plan.optics, 0), ring, reachedMm);
    return { atDeg: wheelDegOf(plan.wheel, ring.angleAt(reachedMm)), windowDeg: wheelDegOf(plan.wheel, widthDeg) };
  };
}

import { wheelDegOf } from '../kit/index.js';
import { changePull, changeSubject, setHand, type ShotPlan } from '../plan/index.js';
import type { MeasuredErrors } from './takeFigures.js';

/** Smallest spreads taken over: a few takes can look perfect by chance. */
const LEAST = { sigmaS: 0.02, steadyDeg: 0.05, markMm: 2 } as const;

/**
 * The plan with spreads measured from its takes: of triggers, of the hand, and of subjects at marks. A systematic lateness is
 * left to a correction.
 */
export function withMeasuredErrors(plan: ShotPlan, { late, off, markMisses: missed }: MeasuredErrors): ShotPlan {
  let fitted = plan;
  if (late) {
    const cueSigmaS = rounded(Math.max(late.sigma, LEAST.sigmaS));
    for (const { id } of fitted.focusTrack.pulls) fitted = changePull(fitted, id, { cueSigmaS });
  }
  if (off) fitted = setHand(fitted, { steadyDeg: rounded(Math.max(wheelDegOf(plan.wheel, off.sigma), LEAST.steadyDeg)) });
  if (missed) {
    const markSigmaMm = Math.round(Math.max(missed.sigma, LEAST.markMm));
    for (const { id } of fitted.subjects) fitted = changeSubject(fitted, id, { markSigmaMm });
  }
  return fitted;
}

function rounded(value: number): number {
  return Math.round(value * 100) / 100;
}

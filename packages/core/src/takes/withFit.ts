import { wheelDegOf } from '../kit/index.js';
import { changeRack, changeSubject, setHand, type ShotPlan } from '../pull/index.js';
import type { FittedErrors } from './takeFigures.js';

/** No hand is steadier, or set off more evenly, than this; no mark is met more exactly. What fewer takes than all show may be luck. */
const LEAST = { sigmaS: 0.02, steadyDeg: 0.05, markMm: 2 } as const;

/** What a plan is reckoned with, once its takes are believed: how evenly pulls are set off, how steadily the hand lands, how well marks are met. That pulls are late as a rule is for a correction: a plan that is late on purpose has no use. */
export function withFit(plan: ShotPlan, { late, off, missed }: FittedErrors): ShotPlan {
  let fitted = plan;
  if (late) {
    const cueSigmaS = rounded(Math.max(late.sigma, LEAST.sigmaS));
    for (const { id } of fitted.line.moves) fitted = changeRack(fitted, id, { cueSigmaS });
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

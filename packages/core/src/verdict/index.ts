export {
  type AutofocusReason,
  type AutofocusRefusal,
  type AutofocusRisk,
  type AutofocusSpan,
  autofocusRisk,
} from './autofocusRisk.js';
export { comparePlans, type MarkShift, type PlanComparison } from './comparePlans.js';
export { disagreement, type Disagreement } from './disagreement.js';
export { evaluatePull, evaluateResult } from './evaluatePull.js';
export { evaluateRing, type RingVerdict } from './evaluateRing.js';
export { exceedsHandLimit, handSpeeds } from './peakSpeed.js';
export {
  type BeatVerdict,
  type Cause,
  type CompleteVerdict,
  type HiddenSpan,
  type Landing,
  type Missing,
  type PullAssessment,
  type PullVerdict,
  type Side,
  type SoftSpan,
  type SubjectFrames,
  type TrackSamples,
} from './pullVerdict.js';
export { framesOf, sharpSpans, zoneSpans } from './zoneSpans.js';
export {
  type BlockedPlan,
  BLOCKING_MOVE_IDS,
  type BlockingMove,
  type BlockingMoveAnswer,
  type BlockingMoveFigure,
  type BlockingMoveFigureCode,
  type BlockingMoveId,
  type BlockingMoveParam,
  type BlockingMoveParamKey,
  type BlockingMoveStart,
  type BlockingMoveValues,
} from './blockingMoves/blockingMove.js';
export { applyBlockingMove, BLOCKING_MOVES, defaultValues, subjectsFor } from './blockingMoves/blockingMoves.js';
export { findFixes } from './fixes/findFixes.js';
export { type Fix, type FixChange } from './fixes/fix.js';

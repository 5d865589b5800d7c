export { comparePlans, type MarkShift, type PlanComparison } from './comparePlans.js';
export { disagreement, type Disagreement } from './disagreement.js';
export { evaluatePull } from './evaluatePull.js';
export { evaluateRing, type RingVerdict } from './evaluateRing.js';
export { narrate, type Narration, type SentencePart } from './narrate.js';
export {
  type BeatVerdict,
  type Cause,
  type CompleteVerdict,
  type Landing,
  type Missing,
  type PullAssessment,
  type PullVerdict,
  type Side,
  type SoftSpan,
  type SubjectFrames,
  type TrackSamples,
} from './pullVerdict.js';
export { sharpSpans, zoneSpans } from './zoneSpans.js';
export {
  type BlockedPlan,
  type BlockingMove,
  type BlockingMoveFigure,
  type BlockingMoveParam,
  type BlockingMoveStart,
  type BlockingMoveValues,
} from './blockingMoves/blockingMove.js';
export { applyBlockingMove, BLOCKING_MOVES, defaultValues } from './blockingMoves/blockingMoves.js';
export { findFixes } from './fixes/findFixes.js';
export { type Fix, type FixChange } from './fixes/fix.js';

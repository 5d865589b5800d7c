export { planChanges } from './changes/planChanges.js';
export { comparePlans, type MarkShift, type PlanComparison } from './comparePlans.js';
export { type Disagreement, disagreement } from './disagreement.js';
export { evaluatePull } from './evaluatePull.js';
export { type JudgedRing, judgeRing } from './judgeRing.js';
export {
  type LaidMove,
  layStaging,
  type Staging,
  type StagingAt,
  type StagingFigure,
  type StagingParam,
  STAGINGS,
  type StagingValues,
  usualValues,
} from './staging/index.js';
export { findMends, type Mend, type MendChange } from './mends/index.js';
export { sharpSpans, zoneSpans } from './zoneSpans.js';
export { narrate, type Narration, type SentencePart, targetName } from './narrate.js';
export {
  type BeatVerdict,
  type Cause,
  type JudgedPull,
  type Landing,
  type LineFrames,
  type Missing,
  type MoveVerdict,
  type PullVerdict,
  type Side,
  type SoftSpan,
  type SubjectFrames,
} from './pullVerdict.js';

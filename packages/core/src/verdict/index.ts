export { comparePlans, type MarkShift, type PlanComparison } from './comparePlans.js';
export { evaluatePull } from './evaluatePull.js';
export { narrate, type Narration, type SentencePart, targetName } from './narrate.js';
export {
  type BeatVerdict,
  type Cause,
  type JudgedPull,
  type LineFrames,
  type Missing,
  type MoveVerdict,
  type PullVerdict,
  type Side,
  type SoftSpan,
  type SubjectFrames,
} from './pullVerdict.js';

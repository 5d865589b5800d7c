export { adviseNext, isUsable, type NextAdvice } from './advice.js';
export { asJudged, verdictOf } from './asJudged.js';
export { judgeTake, type TakeVerdict, type UsableSpan } from './judgeTake.js';
export { MARK_HITS, type MarkHit, type MoveScore, scoreMoves } from './scoreMoves.js';
export { onPlanTime } from './onPlanTime.js';
export { packTrack, type RingTrack, trackDegAt, unpackTrack } from './track.js';
export { type Correction, corrections, type LoggedHit } from './corrections.js';
export {
  checkTake,
  FOCUS_GRADES,
  type FocusGrade,
  newTake,
  PERFORMANCE_GRADES,
  type PerformanceGrade,
  type Repair,
  REPAIRS,
  type Take,
  TAKE_LIMITS,
  type TakeSettings,
  upgradeTake,
} from './take.js';

export { adviseNext, isUsable, type NextAdvice } from './advice.js';
export { asJudged, loggedHit, verdictOf } from './asJudged.js';
export { judgeTake, type TakeVerdict, type UsableSpan } from './judgeTake.js';
export { MARK_HITS, type MarkHit, type MoveScore, scoreMoves } from './scoreMoves.js';
export { onPlanTime, pullTimes } from './onPlanTime.js';
export { packTrack, type RingReading, type RingTrack, trackDegAt, trackOfReadings, unpackTrack } from './track.js';
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
export { captureForScreenS, type RateFigures, rateFigures, screenS } from './edit/rates.js';
export { type Retimed, type RetimeLimits, type Retiming, retime } from './edit/retime.js';
export { type EditedTake, otioTimeline } from './edit/otio.js';
export { type NumberedTake, type RankedSpan, rankSpans, usableSpansOf } from './edit/usableSpans.js';
export { spanWords } from './edit/spanWords.js';
export { type VttCue, webVtt } from './edit/webvtt.js';
export { type LoggedTake, readTakesJson, readTakesTable, TAKES_FORMAT, takesJson, takesTable } from './exchange.js';
export { type LensDataReading, readLensData } from './lensData.js';
export {
  addedSums,
  fitErrors,
  type Fitted,
  fitted,
  type FittedErrors,
  type Sums,
  sumsOf,
  type TakeFigures,
  takeFigures,
} from './takeFigures.js';
export { withFit } from './withFit.js';

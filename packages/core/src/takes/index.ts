export { adviseNext, type NextAdvice } from './advice.js';
export { asJudged, loggedHit, verdictOf } from './asJudged.js';
export { type Correction, corrections, lateByS } from './corrections.js';
export type { FindingCorrection } from './findingCorrections.js';
export { type LoggedHit, NOT_MEASURED } from './loggedHit.js';
export {
  askedPlaces,
  type AskedPlace,
  type Finding,
  FINDINGS,
  FINDINGS_AT,
  type FindingPlace,
  isSamePlace,
  type LoggedFinding,
} from './findings.js';
export { focusOf, hitOf, isKeptTake, isSimulated, isUsable, takesOfAlternate } from './said.js';
export { type LoggedTake, readTakesJson, readTakesTable, TAKES_FORMAT, takesJson, takesTable } from './exchange.js';
export { judgeTake, type TakeVerdict } from './judgeTake.js';
export type { UsableSpan } from './usableSpan.js';
export type { LensDataUnit } from './lensColumns.js';
export { type LensDataReading, readLensData, withLensData } from './lensData.js';
export { type CrewFit, fitCrew, usesCrewFit, withCrewFit } from './fitCrew.js';
export { cuesOf } from './inferredCues.js';
export { onPlanTime, pullTimes } from './onPlanTime.js';
export { type MeasuredRecovery, type Recovery, RECOVERY_GRADES, type RecoveryGrade, recoveryOf } from './recoveries.js';
export { type TurnFigures, type TurnWords, turnWords } from './turnFigures.js';
export { MARK_HITS, type MarkHit, type PullScore, scorePulls } from './scorePulls.js';
export {
  checkTake,
  type Confidence,
  CONFIDENCES,
  type EarlierLook,
  TAKE_SCHEMA,
  FOCUS_GRADES,
  type FocusGrade,
  PERFORMANCE_GRADES,
  type PerformanceGrade,
  type Repair,
  REPAIRS,
  type Take,
  METHOD_DIVIDER,
  TAKE_LIMITS,
  takeMethods,
  type TakeGear,
  type TakeMeasured,
  RING_SOURCES,
  type RingSourceOfTake,
  TIMECODE_SOURCES,
  type TimecodeSource,
} from './take.js';
export {
  addedSums,
  measuredError,
  type MeasuredError,
  type MeasuredErrors,
  type Sums,
  sumsOf,
  takeFigures,
  type TakeFigures,
} from './takeFigures.js';
export { newTake } from './newTake.js';
export { packTrack, type TimedAngle, type RingTrack, trackDegAt, type TrackHole, trackOfReadings, unpackTrack } from './track.js';
export { upgradeTake } from './upgradeTake.js';
export { captureForScreenS, frameRateFigures, type FrameRateFigures, screenTimeS } from './editorial/frameRates.js';
export { type EditorialTake, type OtioLabels, otioTimeline } from './editorial/otio.js';
export { retime, type Retimed, type RetimeLimits, type Retiming } from './editorial/retime.js';
export { spanWords } from './editorial/spanWords.js';
export { type NumberedTake, type RankedSpan, rankSpans, usableSpansOf } from './editorial/usableSpans.js';
export { type VttCue, webVtt } from './editorial/webvtt.js';
export { readTakeTime, takeTimeText } from './takeTime.js';
export { compareTakes, type ComparedTake, type KnownTake } from './importTakes.js';
export { WRAP_STATES, type WrapState, type WrapUp, wrapUp } from './wrapUp.js';
export { type LookAt, lookFirst } from './lookFirst.js';
export { ZONE_DEPTH_LIMITS_MM } from './zoneDepth.js';
export { heldBy, type HeldBy } from './heldBy.js';

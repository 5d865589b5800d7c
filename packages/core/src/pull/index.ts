export * from './edit/index.js';
export { beatFrames, keyFrameOf } from './beatFrames.js';
export { assertPlan, checkPlan } from './checkPlan.js';
export { describeGearChange } from './describeGear.js';
export { ASSUMED_HAND, gradeMove, type Hand, handTimeS, type MoveGrade, pullDifficultyBits } from './difficulty.js';
export { type FocusLine, focusLine, type LineMove, type LineSetting, targetMm } from './focusLine.js';
export { focusesForBlur } from './blurredFocus.js';
export { eased, easingPeak } from './easing.js';
export { ringReach, type RingReach } from './ringReach.js';
export { type FollowSpeed, followSpeed } from './followSpeed.js';
export { wheelTurn, type WheelTurn } from './gears.js';
export { landingWindow, type LandingWindow } from './landingWindow.js';
export { focalLengthAt, halfViewDeg, isSteady, stopAt, zoneLensAt } from './opticsTrack.js';
export { type MissAllowance, missAllowance } from './allowance.js';
export {
  fieldOfAction,
  type FieldOfAction,
  floorTimes,
  framedSpans,
  isBetweenSides,
  isInFrame,
  lensView,
  type Motion,
  motionOf,
  type Standing,
  standingOf,
} from './inSight.js';
export { firstComesS, type MarkReading, markReading } from './markReading.js';
export {
  addRun,
  type PlannedEvent,
  rehearsedEvents,
  type RehearsedTime,
  rehearsedTimes,
  removeRun,
  takeRehearsedTimes,
} from './rehearsal.js';
export { type StandIn, standIns } from './standIns.js';
export { planDistances } from './planDistances.js';
export { PLAN_LIMITS } from './planLimits.js';
export * from './lay/index.js';
export { leastMoveS } from './moveNeed.js';
export { LOCAL_RULES, movingCaution, planNotes, type PlanNote } from './planNotes.js';
export {
  type Alternate,
  ALTERNATES,
  ASSUMED_CUE_SIGMA_S,
  type Beat,
  BEAT_KINDS,
  type BeatKind,
  beatsNow,
  type CoursePoint,
  CUE_KINDS,
  type CueKind,
  type Easing,
  EASINGS,
  type FocusLinePlan,
  type KitSources,
  type LineTarget,
  type Method,
  METHODS,
  type OpticsMove,
  PLAN_SCHEMA,
  pictureWidthMm,
  PLAIN_BEAT,
  PLAIN_MOVE,
  planCircleMm,
  type Rack,
  rackEndS,
  sharpBeatsAt,
  type ShotExposure,
  type ShotOptics,
  type ShotPlan,
} from './shotPlan.js';
export { spansWhere, type TimeSpan } from './timeSpans.js';
export { sharpWindow, type SharpWindow, type Tube, tubeOf } from './tube.js';
export { upgradePlan } from './upgradePlan.js';
export { PLAIN_SCHEDULE, PLAIN_WANTED, type Schedule, type Wanted, WANTED_SHARE } from './wanted.js';

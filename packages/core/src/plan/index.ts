export { beatFrames, keyFrameOf } from './beatFrames.js';
export { cameraErrorsOf, keepingDistanceErrors, STEADY_CAMERA } from './cameraErrors.js';
export { isCameraMoving, isCameraTravelling } from './cameraMoves.js';
export { assertPlan, checkPlan, PLAN_JSON_SCHEMA } from './checkPlan.js';
export {
  fieldOfAction,
  type FieldOfAction,
  floorTimes,
  framedSpans,
  isBetweenSides,
  isInFrame,
  lensView,
  motionOf,
  type Placement,
  placementOf,
  type SubjectMotion,
} from './framing.js';
export { DEFAULT_GOALS, DEFAULT_SCHEDULE, DEFAULT_TARGET_KEEP_RATE, type Schedule, type ShotGoals } from './goals.js';
export { type HardStop, hardStopsOf, markAngles, MAX_HARD_STOPS } from './hardStops.js';
export { focalLengthAt, halfViewDeg, isSteady, stopAt, stopLimit, type StopLimit, zoneLensAt } from './opticsOverTime.js';
export { hiddenFramesOf, hiddenRunsOf } from './hiddenFrames.js';
export { unjudgedFramesOf } from './unjudgedFrames.js';
export {
  automaticFrames,
  automaticParts,
  isAllAutomatic,
  isPulled,
  isInAutomaticPart,
  methodAt,
  type MethodPart,
  methodParts,
  methodsOf,
  ofPart,
  plannedBeats,
} from './methodParts.js';
export {
  type ExposureSpan,
  exposureSpans,
  idleLightReadings,
  lightSpans,
  type LightSpan,
  meteredStopAt,
  missingStopsAt,
} from './lightAlong.js';
export { markFocusDistances, markFocusMm, markLandingS, markSetS, planDistances } from './planDistances.js';
export { PLAN_LIMITS, targetMm } from './planLimits.js';
export {
  commonOffset,
  type CommonOffset,
  isReadOff,
  markRead,
  marksOffTheRing,
  type OffsetCause,
  readAndMeasured,
  type ReadAndMeasured,
  readGear,
  readingSpreadDeg,
  scaleOfMarks,
} from './readings.js';
export { ringReach, type RingReach } from './ringReach.js';
export {
  type CameraErrors,
  activeBeats,
  type Alternate,
  ALTERNATES,
  ASSUMED_CUE_SIGMA_S,
  type Beat,
  type CoursePoint,
  CUE_TRIGGERS,
  type CueTrigger,
  DEFAULT_BEAT,
  DEFAULT_PULL,
  type FocusTarget,
  type FocusTrackPlan,
  isTriggeredByEvent,
  type KitSources,
  type Method,
  METHODS,
  type OpticsChange,
  pictureWidthMm,
  PLAN_SCHEMA,
  planCircleMm,
  type Pull,
  pullEndS,
  type Requirement,
  REQUIREMENTS,
  sharpBeatsAt,
  DEFAULT_TOLERANCE_STOPS,
  type LaterMethod,
  type LightReading,
  type ShotExposure,
  type ShotOptics,
  type ShotPlan,
  DEFAULT_WATCHING,
  frameSize,
  WATCHED,
  type Watching,
  WHEEL_JOBS,
  type WheelJob,
  wheelJob,
  wheelOf,
} from './shotPlan.js';
export { fullList, type PlanList } from './planRoom.js';
export { targetDistanceMm, targetOverTime, type TargetOverTime, type TrackPosition } from './targetPosition.js';
export { spotTape, type SpotTape } from './spotTape.js';
export { spansWhere, type TimeSpan } from './timeSpans.js';
export { upgradePlan } from './upgradePlan.js';
export { type GearDifference, gearDifferences, type RingSummary } from './differences/gearDifferences.js';
export { type PlanDifference, planDifferences, type PlanPart } from './differences/planDifferences.js';
export { HEADINGS, type ShotChange, shotChanges, type TitledPlan } from './differences/shotChanges.js';
export { mergePlans } from './merge/mergePlans.js';
export { type ClashRule, mergeValue, type Sides } from './merge/mergeValue.js';
export { addLightReading, changeLightReading, followLight, rebalance, removeLightReading, setExposure } from './edits/light.js';
export { addMethodPart, changeMethodPart, MIN_PART_S, removeMethodPart, setMethod } from './edits/methods.js';
export { joinAlternates, showAlternate, splitAlternates } from './edits/alternates.js';
export { addBeat, changeBeat, MIN_BEAT_S, removeBeat } from './edits/beats.js';
export {
  changeAim,
  changeCameraKey,
  moveCameraTo,
  removeAim,
  removeCameraKey,
  setAim,
  setCameraMiss,
} from './edits/cameraPath.js';
export { changeCoursePoint } from './edits/course.js';
export {
  addSubjectAt,
  adoptDrawnDistance,
  clearFloor,
  placeMark,
  setLensHeight,
  setSubjectHeight,
  startFloor,
  walkTo,
  drawAtDistance,
  minDrawnMm,
} from './edits/floor.js';
export {
  chooseCamera,
  chooseLens,
  chooseRig,
  chooseWheel,
  setWheelJob,
  detachFromKit,
  type GearChange,
  gearChanges,
  type GearPart,
  type KitNow,
} from './edits/gear.js';
export { copyOnFloor, type FloorItem, moveOnFloor, removeFromFloor } from './edits/group.js';
export { nextId } from './edits/ids.js';
export {
  addLandmark,
  changeLandmark,
  changePicture,
  layPicture,
  removePicture,
  scalePicture,
  USUAL_TALL_MM,
  withoutHeight,
  withUsualHeights,
} from './edits/landmarks.js';
export { addPlace, changeMark, hasRoomForStop, marksHold, removeMark, setTapedFrom } from './edits/marks.js';
export { newPlan } from './edits/newPlan.js';
export {
  addOpticsChange,
  cameraMoved,
  changeOpticsChange,
  type OpticsSetting,
  removeOpticsChange,
  setCamera,
  setFocalLength,
  setLens,
  setStop,
} from './edits/optics.js';
export {
  addPull,
  addPullTo,
  changePull,
  dragPullEdge,
  pullRoom,
  pullStartFrom,
  removePull,
  setTrackStart,
} from './edits/pulls.js';
export {
  addRun,
  type RehearsalEvent,
  rehearsedEvents,
  type RehearsedTime,
  rehearsedTimes,
  removeRun,
} from './edits/rehearsal.js';
export { applyRehearsedTimes, type RehearsedPlan, withRehearsedTimes } from './edits/rehearsedPlan.js';
export { reversed } from './edits/reverse.js';
export { setCameraErrors, setDuration, setGoals, setHand, setHandLimit, setSchedule, shortestDurationS } from './edits/shot.js';
export { stepBack } from './edits/stepBack.js';
export {
  addStay,
  addSubject,
  canAddStay,
  changeStay,
  changeSubject,
  nextArrivalS,
  removeSubject,
  setSubjectKind,
  subjectNamed,
} from './edits/subjects.js';
export { type StaleCause, staleCause, staleMarks, distanceSigmaMm, drawnTapeMm } from './staleMarks.js';
export { handAt, SECOND_JOBS, type SecondJob, secondJobAt } from './secondJob.js';
export { setMarkFocus } from './edits/setMarkFocus.js';
export { withTargets } from './edits/targets.js';
export { adoptReading, adoptScaleOfMarks, setReading } from './edits/readings.js';
export { withDerivedDistances } from './edits/withDerivedDistances.js';
export { type PlanNote, type PlanNoteCode } from './notes/planNote.js';
export { insideNotes } from './notes/insideNotes.js';
export { planNotes } from './notes/planNotes.js';
export {
  HAND_TASKS,
  type HandClash,
  handClashes,
  type HandRelief,
  handReliefs,
  type HandSpan,
  handSpans,
  type HandTask,
  PEOPLE,
  type Person,
} from './handTasks.js';
export { type SetUpStep, setUpSteps } from './setUpSteps.js';
export { staleNotes } from './notes/staleNotes.js';
export { type SplitObstacle, splitObstacle, splitShot, splitTimes } from './edits/splitShot.js';

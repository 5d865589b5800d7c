export { blockingDistance, type Vec3 } from './blockingDistance.js';
export {
  cameraAxisAt,
  cameraMissAt,
  cameraPlaceAt,
  cameraStartMissAt,
  type EyesPlace,
  type LensAxis,
  shortestTurnDeg,
} from './cameraAt.js';
export { floorDistances, type FloorDistances, nextAtMark, type ScenePlace, STANDING_EYES_MM } from './floorDistances.js';
export { placeAt } from './markPlace.js';
export {
  type AimKey,
  type AimTarget,
  type FloorPicture,
  type FloorPlan,
  type Landmark,
  LANDMARK_SHAPES,
  type LandmarkShape,
  type PathKey,
  PICTURE_BYTES,
  PICTURE_TYPES,
  type PictureType,
} from './floorPlan.js';
export {
  DEFAULT_MARK,
  type Mark,
  markDistances,
  MEASURE_METHODS,
  type MeasureMethod,
  STALE_REASONS,
  type StaleReason,
  TAPE_COLOURS,
  TAPE_SHAPES,
  type TapeColour,
  type TapeShape,
  type Taping,
} from './mark.js';
export {
  atDistance,
  DEVICE_METHODS,
  type DeviceMethod,
  hasAssumedUncertainty,
  MAX_UNCERTAINTY_MM,
  measureSigmaMm,
  METHOD_UNCERTAINTY,
  type MethodUncertainty,
  simulatedReadingMm,
} from './measuring.js';
export { easedPeak, easedWay } from './easedWay.js';
export { MINIMUM_JERK_PEAK, minimumJerk } from './minimumJerk.js';
export { between, headingDeg, type Pace, type Place } from './place.js';
export { type RehearsalRun, type RehearsalTap, type RehearsedEvent } from './rehearsal.js';
export {
  ASSUMED_MARK_SIGMA_MM,
  ASSUMED_WIDTH_MM,
  EYES_TO_CROWN_MM,
  ASSUMED_TIMING_SIGMA_S,
  distanceAtTime,
  isWalking,
  type PathPosition,
  pathPositionAt,
  type Stay,
  type Subject,
  SUBJECT_KINDS,
  subjectErrors,
  type SubjectKind,
} from './subject.js';
export { aboveAxisMm, type CameraPose, see, type Sighting } from './sighting.js';
export { type HiddenRun, hiddenRuns } from './linesOfSight.js';
export { type Hider, meetsAt, type Solid, solidOfLandmark } from './solids.js';

export { blockingDistance, type Vec3 } from './blockingDistance.js';
export { cameraHeadingAt, cameraPlaceAt, shortestTurnDeg } from './cameraAt.js';
export { type FloorDistances, floorDistances, placeAt, type SightOf, STANDING_EYES_MM } from './floorDistances.js';
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
  type Mark,
  markDistances,
  MEASURE_METHODS,
  type MeasureMethod,
  PLAIN_MARK,
  STALE_REASONS,
  type StaleReason,
  TAPE_COLOURS,
  TAPE_SHAPES,
  type TapeColour,
  type TapeShape,
} from './mark.js';
export {
  DEVICE_METHODS,
  type DeviceMethod,
  measureSigmaMm,
  METHOD_UNCERTAINTY,
  type MethodUncertainty,
  simulatedReadingMm,
} from './measuring.js';
export { minimumJerk, MINIMUM_JERK_PEAK } from './minimumJerk.js';
export type { RehearsalRun, RehearsalTap, RehearsedEvent } from './rehearsal.js';
export { between, headingDeg, type Pace, type Place } from './place.js';
export {
  ASSUMED_MARK_SIGMA_MM,
  ASSUMED_TIMING_SIGMA_S,
  distanceAtTime,
  isWalking,
  type OnTheWay,
  type Stay,
  type Subject,
  whereAt,
} from './subject.js';

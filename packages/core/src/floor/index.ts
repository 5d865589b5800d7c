export { blockingDistance, type Vec3 } from './blockingDistance.js';
export { cameraHeadingAt, cameraPlaceAt, shortestTurnDeg } from './cameraAt.js';
export { type FloorDistances, floorDistances, placeAt, type SightOf, STANDING_EYES_MM } from './floorDistances.js';
export type { AimKey, AimTarget, FloorPlan, Landmark, PathKey } from './floorPlan.js';
export { minimumJerk, MINIMUM_JERK_PEAK } from './minimumJerk.js';
export { between, headingDeg, type Place } from './place.js';
export {
  distanceAtTime,
  isWalking,
  type Mark,
  markDistances,
  MEASURE_METHODS,
  type MeasureMethod,
  type OnTheWay,
  STALE_REASONS,
  type StaleReason,
  type Stay,
  type Subject,
  whereAt,
} from './subject.js';

export { blockingDistance, type Vec3 } from './blockingDistance.js';
export { minimumJerk, MINIMUM_JERK_PEAK } from './minimumJerk.js';
export {
  distanceAtTime,
  isWalking,
  type Mark,
  markDistances,
  MEASURE_METHODS,
  type MeasureMethod,
  STALE_REASONS,
  type StaleReason,
  type Stay,
  type Subject,
} from './subject.js';

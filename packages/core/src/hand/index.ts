export {
  ASSUMED_HAND,
  gradePull,
  type Hand,
  handAtTwoJobs,
  handTimeS,
  pullDifficultyBits,
  type PullGrade,
} from './difficulty.js';
export { eased, type Easing, easingPeak, easingReversed, EASINGS } from './easing.js';
export { landingWindow, windowOfZone, type LandingWindow } from './landingWindow.js';
export { minPullTimeS } from './minPullTime.js';
export { wheelTurn, type WheelTurn } from './wheelTurn.js';

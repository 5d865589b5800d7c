export * from './edit/index.js';
export { assertPlan, checkPlan } from './checkPlan.js';
export { ASSUMED_HAND, gradeMove, type Hand, handTimeS, type MoveGrade, pullDifficultyBits } from './difficulty.js';
export { type FocusLine, focusLine, type LineMove, type LineSetting, targetDistanceMm, withinReach } from './focusLine.js';
export { landingWindow, type LandingWindow } from './landingWindow.js';
export { PLAN_LIMITS } from './planLimits.js';
export {
  type Beat,
  type FocusLinePlan,
  type LineTarget,
  type Method,
  METHODS,
  PLAN_SCHEMA,
  planCircleMm,
  type Rack,
  rackEndS,
  type Sharpness,
  type ShotPlan,
} from './shotPlan.js';

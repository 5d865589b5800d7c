export {
  checkDeviceCommand,
  checkDeviceMessage,
  type DeviceCommand,
  type DeviceMessage,
  SENT_RING_DEG,
} from './deviceMessages.js';
export { clockCueEvents, type CueEvent, DEFAULT_ROLL_MODE, rollClock, type RollClock, type RollMode } from './rollClock.js';
export { hardestPull, practiceSpan, type PracticeSpan } from './practiceSpan.js';
export { COUNT_IN_BEATS, type RollCue, rollCues } from './rollCues.js';
export { entrances, type Entrance } from './entrances.js';
export { type FollowPace, followPaces, type FollowPaces, type PaceTick } from './followPace.js';
export { type FollowArrival, followArrivals } from './followArrivals.js';
export {
  type PreparedRoll,
  prepareRoll,
  type RingFigure,
  type RollState,
  type UpcomingArrival,
  type UpcomingPull,
} from './rollNow.js';
export { type ZoneChange, type ZoneCourse, zoneCourse, type ZonePlace } from './zoneCourse.js';
export { type HandWheel, turnWheel, WHEEL_DEG } from './simulators/handWheel.js';
export { type Motor, type MotorLimits, restingMotor, runMotor, SIMULATED_MOTOR } from './simulators/motor.js';
export {
  exactFps,
  frameOfTimecode,
  framesPerDay,
  isDropFrame,
  isTimecode,
  timecodeAt,
  timecodeBase,
  timecodeOf,
} from './simulators/timecode.js';

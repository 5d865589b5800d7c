export { checkDeviceMessage, type DeviceMessage, type DeviceOrder } from './deviceMessages.js';
export { isByEvent, PLAIN_PACE, type RollClock, rollClock, type RollPace, type SetOff, setOffByClock } from './rollClock.js';
export { COUNTS, type RollCue, rollCues } from './rollCues.js';
export { type ComingPull, type RingFigure, type RollFigures, type RollPlan, rollPlan } from './rollNow.js';
export { type HandWheel, turnWheel, WHEEL_DEG } from './standIns/handWheel.js';
export { type Motor, motorAt, type MotorLimits, runMotor, STAND_IN_MOTOR } from './standIns/motor.js';
export { frameOfTimecode, timecodeAt, timecodeBase, timecodeOf } from './standIns/timecode.js';

export { MAX_TYPED_DISTANCE_MM, type ParsedDistance, parseDistance } from './distance.js';
export { type DistanceReading } from './distanceReadings.js';
export { displayStepMm, formatDistance, formatDistanceFigure, formatFineDistance, formatGap } from './formatDistance.js';
export {
  formatStop,
  formatStops,
  neighbouringFullStops,
  type ParsedStop,
  parseStop,
  stopScale,
  type StopScale,
} from './stops.js';
export { formatTime, formatTimeFigure, frameAtOrAfter, frameCount, type ParsedTime, parseTime } from './time.js';
export { MM_PER_FOOT, MM_PER_INCH, MM_PER_METRE, type UnitSystem } from './unitSystem.js';

export { type UnitSystem, MM_PER_FOOT, MM_PER_INCH, MM_PER_METRE } from './unitSystem.js';
export { FARTHEST_TYPED_MM, type ParsedDistance, parseDistance } from './distance.js';
export { displayStepMm, formatDistance, formatDistanceFigure, formatFineDistance, formatGap } from './formatDistance.js';
export { formatStop, formatStops, type ParsedStop, parseStop, type StopScale, stopScale } from './stops.js';
export { formatTime, formatTimeFigure, frameAtOrAfter, frameCount, type ParsedTime, parseTime } from './time.js';

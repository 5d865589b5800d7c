export { rackTiming } from './asRacked.js';
export type { ChangeTime } from './changeTime.js';
export { fewestHolds, type HoldTube, type RingHold } from './fewestHolds.js';
export { type LaidLine, layLine, type LayOptions, LINE_WAYS, type LineWay } from './layLine.js';
export { type LeastChange, leastChanges } from './leastChanges.js';
export { mostRingDegPerS } from './limits.js';
export { type Corner, fewerCorners, stringDegAt, tautString } from './tautString.js';
export { type Impossible, impossibleIn } from './tubeRoom.js';

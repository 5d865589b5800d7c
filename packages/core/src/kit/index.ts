export { type Camera, FORMATS } from './formats.js';
export { fNumberOf, type Lens, ringOf } from './lens.js';
export { lensRing, type LensRing, type LensRingOptions } from './lensRing.js';
export { monotoneCubic, type MonotoneCubic } from './monotoneCubic.js';
export { type RingPoint } from './tableRing.js';

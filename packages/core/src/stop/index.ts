export { landingSigmaDeg, pullErrors, type PullErrors } from './errors.js';
export { intervalOf, type KeepRate, keepRate, keepRateOf } from './keepRate.js';
export { normalQuantile } from './draws.js';
export { type PreparedTakes, prepareTakes } from './prepareTakes.js';
export { mergedCounts, runTakes, type TakeCounts } from './runTakes.js';

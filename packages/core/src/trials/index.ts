export { type DrawLayout, drawLayoutOf } from './drawLayout.js';
export {
  type ErrorSource,
  errorSources,
  followErrors,
  landingSigmaDeg,
  pullErrors,
  type PullErrors,
  type SizedError,
} from './errorSources.js';
export { keepRate, type KeepRate, keepRateOf, wilsonInterval } from './keepRate.js';
export { normalQuantile } from './normalQuantile.js';
export type { IdealTake, PreparedTrials, TakesOptions } from './preparedTrials.js';
export { prepareTrials } from './prepareTrials.js';
export { ASSUMED_DISPLAY_INCHES, watchFigures, type WatchFigures } from './watching.js';
export { mergeCounts, runTrials, type TrialCounts } from './runTrials.js';
export { chanceOfOneKept, expectedTakesOf, type SetupsKept, takesForNineOfTenOf } from './severalTakes.js';

export { atStop, stopsOf } from './atStop.js';
export { asEngraved, balanceStops, type LightBalance, lightBalances, type LightLimits } from './balances.js';
export { type DrawOrder, drawOrderOf } from './drawOrder.js';
export {
  type ErrorSource,
  errorSources,
  followErrors,
  landingSigmaDeg,
  pullErrors,
  type PullErrors,
  type SizedError,
} from './errors.js';
export { type HowWide, howWide, type StopChance } from './howWide.js';
export { type InDepth, inDepth } from './inDepth.js';
export { intervalOf, type KeepRate, keepRate, keepRateOf } from './keepRate.js';
export { normalQuantile } from './draws.js';
export { howKnown, type Known } from './methods/actionFacts.js';
export { type MethodOffer, methodOffers } from './methods/methodOffers.js';
export { ASSUMED_PACE_SIGMA_MM } from './methods/methodPlans.js';
export { type PreparedTakes, prepareTakes, type TakesOptions } from './prepareTakes.js';
export { mergedCounts, runTakes, type TakeCounts } from './runTakes.js';
export { type SeparatedPicture, separation, type SeparationWay } from './separation.js';
export {
  ATTENTION,
  type Attention,
  attentionOf,
  DIFFICULTIES,
  type Difficulty,
  difficultyOf,
  type LimitingMoment,
  limitingMoment,
  type ShotTime,
  shotTime,
} from './shotTime.js';
export { brighterStops, exposureAt, type StopFigures, stopFigures } from './stopFigures.js';
export { type Help, type HelpChange, rankHelps, type TriedHelp, whatHelps } from './whatHelps.js';

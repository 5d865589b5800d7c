export { howWide, type HowWide, type StopRate } from './howWide.js';
export {
  type Improvement,
  type ImprovementChange,
  type RankedImprovement,
  rankImprovements,
  suggestImprovements,
} from './improvements.js';
export { lookStop, type LookStop, withLookStop } from './lookStop.js';
export { asEngraved, balanceStops, type LightBalance, lightBalances, type LightLimits } from './lightBalances.js';
export { type RankedFix, rankFixes, type TakesKept, takesKept } from './rankFixes.js';
export { type SeparatedPicture, separation, type SeparationWay } from './separation.js';
export {
  type Attention,
  ATTENTION,
  attentionOf,
  DIFFICULTIES,
  type Difficulty,
  difficultyOf,
  limitingMoment,
  type LimitingMoment,
  shotTime,
  type ShotTime,
} from './shotTime.js';
export { brighterStops, exposureAt, stopFigures, type StopFigures } from './stopFigures.js';
export { type ThingInDepth, thingsInDepth } from './thingsInDepth.js';
export { stopsToCompare, withStop } from './withStop.js';
export { howKnown, type Known } from './methods/actionFacts.js';
export type { MethodArgument } from './methods/methodArgument.js';
export { type PartFigures, partFigures } from './methods/partFigures.js';
export { type MethodOffer, methodOffers, type PullsAfter } from './methods/methodOffers.js';

/** How often a stop is kept, and how soft it leaves what lies behind. */
export interface StopChance {
  readonly stop: number;
  readonly keepRate: number;
  /** 95 % certain */
  readonly low: number;
  readonly high: number;
  readonly backgroundPercent: number;
}

/** The answer to how wide a shot can be taken. */
export interface HowWide {
  /** The widest stop at which as many takes are kept as are wanted; null where none does */
  readonly keeps: StopChance | null;
  /** Whether the takes drawn tell it from the next wider one for sure */
  readonly isSure: boolean;
  /** The narrowest stop that leaves what lies behind as soft as wanted; null where nothing is wanted, or not even the widest does */
  readonly softest: StopChance | null;
  /** `open`: any stop up to the widest of the lens; `from`: `keeps` and narrower; `between`: `keeps` to `softest`; `apart`: what is kept is not soft enough; `never`: no stop keeps enough */
  readonly answer: 'open' | 'from' | 'between' | 'apart' | 'never';
  /** The stop that keeps the most, for `never` */
  readonly best: StopChance;
}

/**
 * The widest stop that keeps as many takes as are wanted, and whether it leaves what lies behind soft enough.
 *
 * @param chances - of the stops from the widest on, at least one
 * @param keepShare - of the takes
 * @param blurPercent - the least the background shall blur; null for whatever it does
 */
export function howWide(chances: readonly StopChance[], keepShare: number, blurPercent: number | null): HowWide {
  const found = chances.findIndex(({ keepRate }) => keepRate >= keepShare);
  const keepsFrom = found < 0 ? chances.length : found;
  const keeps = chances[keepsFrom] ?? null;
  const wider = chances[keepsFrom - 1];
  const isSure = keeps !== null && keeps.low >= keepShare && (wider === undefined || wider.high < keepShare);
  const soft = blurPercent === null ? [] : chances.filter((one) => one.backgroundPercent >= blurPercent);
  const softest = soft.at(-1) ?? null;
  const best = chances.reduce((most, one) => (one.keepRate > most.keepRate ? one : most));
  const answer =
    keeps === null
      ? 'never'
      : blurPercent === null
        ? keepsFrom === 0
          ? 'open'
          : 'from'
        : softest !== null && softest.stop >= keeps.stop
          ? 'between'
          : 'apart';
  return { keeps, isSure, softest, answer, best };
}

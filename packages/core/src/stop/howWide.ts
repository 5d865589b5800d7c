/** Keep rate and background blur at a stop. */
export interface StopRate {
  readonly stop: number;
  readonly keepRate: number;
  /** 95 % confidence interval */
  readonly low: number;
  readonly high: number;
  readonly backgroundPercent: number;
}

/** Answer to the question how wide the shot can be. */
export interface HowWide {
  /** Widest stop that reaches the target keep rate; null if none does */
  readonly keeps: StopRate | null;
  /** Whether the trials separate it reliably from the next wider stop */
  readonly isSure: boolean;
  /** Narrowest stop that still gives the requested background blur; null if none is requested, or if the widest is not enough */
  readonly softest: StopRate | null;
  /**
   * `open`: every stop is enough. `from`: `keeps` and narrower. `between`: from `keeps` to `softest`. `apart`: enough takes are
   * kept, but the background is too sharp. `never`: no stop keeps enough
   */
  readonly answer: 'open' | 'from' | 'between' | 'apart' | 'never';
  /** Stop with the highest keep rate, for `never` */
  readonly best: StopRate;
}

/**
 * Widest stop that reaches the target keep rate, and whether it gives the requested background blur.
 *
 * @param chances - by stop, widest first, at least one
 * @param targetKeepRate - target keep rate
 * @param blurPercent - minimum background blur; null for no requirement
 */
export function howWide(chances: readonly StopRate[], targetKeepRate: number, blurPercent: number | null): HowWide {
  const found = chances.findIndex(({ keepRate }) => keepRate >= targetKeepRate);
  const keepsFrom = found < 0 ? chances.length : found;
  const keeps = chances[keepsFrom] ?? null;
  const wider = chances[keepsFrom - 1];
  const isSure = keeps !== null && keeps.low >= targetKeepRate && (wider === undefined || wider.high < targetKeepRate);
  const soft = blurPercent === null ? [] : chances.filter((one) => one.backgroundPercent >= blurPercent);
  const softest = soft.at(-1) ?? null;
  const best = chances.reduce((most, one) => (one.keepRate > most.keepRate ? one : most));
  const withoutBlur = keepsFrom === 0 ? 'open' : 'from';
  const withBlur = keeps !== null && softest !== null && softest.stop >= keeps.stop ? 'between' : 'apart';
  const answer = blurPercent === null ? withoutBlur : withBlur;
  return { keeps, isSure, softest, answer: keeps === null ? 'never' : answer, best };
}

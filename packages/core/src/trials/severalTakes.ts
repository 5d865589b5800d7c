/** By number of kept takes, the number of whole set-ups that keep that number. */
export type SetupsKept = ArrayLike<number>;

/**
 * Probability that at least one of some takes of one set-up is kept. A set-up whose marks were measured wrongly spoils all its takes,
 * so that more takes help less than if each had a new chance.
 *
 * @param takes - a whole number from 0
 * @param keepRate - used alone if no whole set-up was tried
 * Source: for n takes out of the K tried in a set-up, the share of choices without a kept one is C(K - k, n) / C(K, n), an unbiased
 * estimate of (1 - p)^n. Beyond K, the chance of losing all goes on to fall by the same factor.
 */
export function chanceOfOneKept(setupsKept: SetupsKept, keepRate: number, takes: number): number {
  const setups = Array.from(setupsKept).reduce((sum, count) => sum + count, 0);
  if (setups === 0) return 1 - (1 - keepRate) ** takes;
  const tried = setupsKept.length - 1;
  if (takes <= tried) return 1 - shareLost(setupsKept, setups, takes);
  return 1 - shareLost(setupsKept, setups, tried) * tailFactor(setupsKept, setups) ** (takes - tried);
}

/** Mean number of takes until one is kept; Infinity if some set-ups keep none however often they are tried. */
export function expectedTakesOf(setupsKept: SetupsKept, keepRate: number): number {
  const setups = Array.from(setupsKept).reduce((sum, count) => sum + count, 0);
  if (setups === 0) return 1 / keepRate;
  const tried = setupsKept.length - 1;
  let sum = 0;
  for (let takes = 0; takes < tried; takes++) sum += shareLost(setupsKept, setups, takes);
  return sum + shareLost(setupsKept, setups, tried) / (1 - tailFactor(setupsKept, setups));
}

/** Largest number of takes that is looked for. */
const MAX_TAKES = 10_000;

/** Number of takes of which at least one is kept with 90 % probability; Infinity if no number is enough. */
export function takesForNineOfTenOf(setupsKept: SetupsKept, keepRate: number): number {
  const isEnough = (takes: number) => chanceOfOneKept(setupsKept, keepRate, takes) >= 0.9 - 1e-9;
  if (!isEnough(MAX_TAKES)) return Infinity;
  let [low, high] = [0, MAX_TAKES];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (isEnough(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Mean share of choices of `takes` takes of a set-up in which none is kept. */
function shareLost(setupsKept: SetupsKept, setups: number, takes: number): number {
  const tried = setupsKept.length - 1;
  let lost = 0;
  for (let kept = 0; kept <= tried; kept++)
    if (setupsKept[kept]! > 0) lost += setupsKept[kept]! * choicesLost(tried, kept, takes);
  return lost / setups;
}

/** C(tried - kept, takes) / C(tried, takes) */
function choicesLost(tried: number, kept: number, takes: number): number {
  let share = 1;
  for (let k = 0; k < takes; k++) share *= Math.max(tried - kept - k, 0) / (tried - k);
  return share;
}

/** Factor by which one more take lowers the chance of losing all, at the largest number that was tried. */
function tailFactor(setupsKept: SetupsKept, setups: number): number {
  const tried = setupsKept.length - 1;
  const before = shareLost(setupsKept, setups, tried - 1);
  return before === 0 ? 0 : shareLost(setupsKept, setups, tried) / before;
}

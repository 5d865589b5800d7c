/**
 * Standard normal numbers of a take. They depend on the seed and the take's number alone, so that takes can be shared out among workers and come out the same.
 *
 * @param seed, take - whole numbers; their lower 32 bits count
 * @param out - is filled, in place
 * Source: the generator is xoshiro128** of Blackman and Vigna, SCRAMBLED LINEAR PSEUDORANDOM NUMBER GENERATORS, 2021, its state spread from seed and take by the finaliser of MurmurHash3.
 */
export function drawInPlace(seed: number, take: number, out: Float64Array): void {
  let s0 = stateOf(seed, take, 0);
  let s1 = stateOf(seed, take, 1);
  let s2 = stateOf(seed, take, 2);
  let s3 = stateOf(seed, take, 3);
  // a state of nothing but zeros would stay so
  if ((s0 | s1 | s2 | s3) === 0) s0 = 1;
  for (let k = 0; k < out.length; k++) {
    const scrambled = Math.imul(s1, 5);
    const result = Math.imul((scrambled << 7) | (scrambled >>> 25), 9);
    const shifted = s1 << 9;
    s2 ^= s0;
    s3 ^= s1;
    s1 ^= s2;
    s0 ^= s3;
    s2 ^= shifted;
    s3 = (s3 << 11) | (s3 >>> 21);
    const cell = result >>> CELL_BITS;
    // the outermost cells are curved: there the formula itself is asked
    if (((cell + TAIL_CELLS) & (CELLS - 1)) < 2 * TAIL_CELLS) out[k] = normalQuantile(((result >>> 0) + 0.5) / 4294967296);
    else out[k] = LINES[2 * cell]! + (result & CELL_MASK) * LINES[2 * cell + 1]!;
  }
}

/** Where the middle of the distribution ends and its tails begin. */
const TAIL = 0.02425;

/**
 * The quantile as 4,096 straight lines, evenly in probability: what it is at the start of each (half a step in, as the numbers drawn are), and how it rises by a step. Between two ends a line is off by less than
 * 1e-5 in probability, at a fraction of the formula's time.
 */
const CELLS = 4096;
const TAIL_CELLS = 4;
const CELL_BITS = 20;
const CELL_MASK = (1 << CELL_BITS) - 1;
const LINES = new Float64Array(2 * CELLS);
for (let cell = TAIL_CELLS; cell < CELLS - TAIL_CELLS; cell++) {
  const from = normalQuantile(cell / CELLS);
  const slope = (normalQuantile((cell + 1) / CELLS) - from) / (1 << CELL_BITS);
  LINES[2 * cell] = from + slope / 2;
  LINES[2 * cell + 1] = slope;
}

function stateOf(seed: number, take: number, k: number): number {
  return spread(spread((seed | 0) + Math.imul(k + 1, 0x9e3779b9)) ^ Math.imul(take + 1, 0x6a09e667 + 2 * k));
}

function spread(value: number): number {
  let x = value | 0;
  x = Math.imul(x ^ (x >>> 16), 0x85ebca6b);
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35);
  return x ^ (x >>> 16);
}

/**
 * The number below which a standard normal one lies with a probability.
 *
 * @param p - above 0, below 1
 * @returns to 1.2e-9 relative
 * Source: P. J. Acklam, AN ALGORITHM FOR COMPUTING THE INVERSE NORMAL CUMULATIVE DISTRIBUTION FUNCTION, 2003; coefficients as there.
 * @example normalQuantile(0.975) is 1.95996…
 */
export function normalQuantile(p: number): number {
  if (p < TAIL) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - TAIL) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  const above =
    ((((-39.69683028665376 * r + 220.9460984245205) * r - 275.9285104469687) * r + 138.357751867269) * r - 30.66479806614716) *
      r +
    2.506628277459239;
  const below =
    ((((-54.47609879822406 * r + 161.5858368580409) * r - 155.6989798598866) * r + 66.80131188771972) * r - 13.28068155288572) *
      r +
    1;
  return (above * q) / below;
}

function tail(q: number): number {
  const above =
    ((((-0.007784894002430293 * q - 0.3223964580411365) * q - 2.400758277161838) * q - 2.549732539343734) * q +
      4.374664141464968) *
      q +
    2.938163982698783;
  const below = (((0.007784695709041462 * q + 0.3224671290700398) * q + 2.445134137142996) * q + 3.754408661907416) * q + 1;
  return above / below;
}

/** Probability below which the tail formula applies. */
const TAIL = 0.02425;

/**
 * The normal quantile as 4,096 line segments, even in probability. For each: value at its start (half a step in) and rise per
 * step. Error below 1e-5 in probability, at a fraction of the formula's time. The outermost cells are too curved and use the
 * formula.
 */
export function quantileLines(): Float64Array {
  const lines = new Float64Array(2 * CELLS);
  for (let cell = TAIL_CELLS; cell < CELLS - TAIL_CELLS; cell++) {
    const from = normalQuantile(cell / CELLS);
    const slope = (normalQuantile((cell + 1) / CELLS) - from) / 2 ** CELL_BITS;
    lines[2 * cell] = from + slope / 2;
    lines[2 * cell + 1] = slope;
  }
  return lines;
}

/** As in `loop/trialLoop.ts`: the upper bits of a 32-bit number select the cell, the lower ones the step. */
const CELL_BITS = 20;
const CELLS = 2 ** (32 - CELL_BITS);
const TAIL_CELLS = 4;

/**
 * Quantile of the standard normal distribution.
 *
 * @param p - above 0, below 1
 * @returns to 1.2e-9 relative
 * Source: P. J. Acklam, AN ALGORITHM FOR COMPUTING THE INVERSE NORMAL CUMULATIVE DISTRIBUTION FUNCTION, 2003; coefficients as
 * there.
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

/**
 * Shape-preserving cubic interpolation. Between two points it stays within their range, so an increasing scale stays
 * increasing.
 *
 * Source: F. N. Fritsch and J. Butland, A method for constructing local monotone piecewise cubic interpolants, 1984 (weighted
 * harmonic mean of the neighbouring slopes); ends by the three-point rule of Fritsch and Carlson, 1980. What SciPy calls PCHIP.
 */
export interface MonotoneCubic {
  /** Value at `x`, which must lie within the points. */
  valueAt(x: number): number;
  /** The `x` with the value `y`, for strictly monotone values, to a few units in the last place. */
  inverseAt(y: number): number;
}

/** @param xs - strictly increasing, length n ≥ 2 @param ys - length n */
export function monotoneCubic(xs: readonly number[], ys: readonly number[]): MonotoneCubic {
  const slopes = pointSlopes(xs, ys);
  const rising = ys[ys.length - 1]! > ys[0]!;

  const inSegment = (k: number, t: number): number => {
    const h = xs[k + 1]! - xs[k]!;
    const rise = ys[k + 1]! - ys[k]!;
    const m0 = h * slopes[k]!;
    const m1 = h * slopes[k + 1]!;
    // Hermite form relative to the segment's start: y0 + t (m0 + t (3 rise - 2 m0 - m1 + t (m0 + m1 - 2 rise)))
    return ys[k]! + t * (m0 + t * (3 * rise - 2 * m0 - m1 + t * (m0 + m1 - 2 * rise)));
  };

  return {
    valueAt(x) {
      const k = segmentOf(xs, x, true);
      return inSegment(k, (x - xs[k]!) / (xs[k + 1]! - xs[k]!));
    },
    inverseAt(y) {
      const k = segmentOf(ys, y, rising);
      return xs[k]! + (xs[k + 1]! - xs[k]!) * progressTo(y, (t) => inSegment(k, t), rising);
    },
  };
}

/** Bisects until the interval can't be halved in floating point. `t` keeps its relative precision near 0. */
function progressTo(y: number, valueAt: (t: number) => number, rising: boolean): number {
  let low = 0;
  let high = 1;
  if (valueAt(0) === y) return 0;
  if (valueAt(1) === y) return 1;
  for (;;) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high || high - low < 1e-15 * high) return middle;
    if (valueAt(middle) < y === rising) low = middle;
    else high = middle;
  }
}

/** Index of the segment that holds `value`, clamped to the first and last segment. */
function segmentOf(values: readonly number[], value: number, rising: boolean): number {
  let low = 0;
  let high = values.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (values[middle]! <= value === rising) low = middle;
    else high = middle;
  }
  return low;
}

function pointSlopes(xs: readonly number[], ys: readonly number[]): number[] {
  const last = xs.length - 1;
  const widths = xs.slice(1).map((x, k) => x - xs[k]!);
  const secants = widths.map((width, k) => (ys[k + 1]! - ys[k]!) / width);
  if (last === 1) return [secants[0]!, secants[0]!];
  return xs.map((_, k) => {
    if (k === 0) return endSlope(widths[0]!, widths[1]!, secants[0]!, secants[1]!);
    if (k === last) return endSlope(widths[k - 1]!, widths[k - 2]!, secants[k - 1]!, secants[k - 2]!);
    const before = secants[k - 1]!;
    const after = secants[k]!;
    if (before * after <= 0) return 0;
    const w1 = 2 * widths[k]! + widths[k - 1]!;
    const w2 = widths[k]! + 2 * widths[k - 1]!;
    return (w1 + w2) / (w1 / before + w2 / after);
  });
}

function endSlope(width: number, nextWidth: number, secant: number, nextSecant: number): number {
  const slope = ((2 * width + nextWidth) * secant - width * nextSecant) / (width + nextWidth);
  if (Math.sign(slope) !== Math.sign(secant)) return 0;
  if (Math.sign(secant) !== Math.sign(nextSecant) && Math.abs(slope) > 3 * Math.abs(secant)) return 3 * secant;
  return slope;
}

import { conjugates } from '../optics/index.js';
import type { RingPoint } from './ring.js';

/** A scale point compared with the fitted helicoid. */
export interface FittedPoint {
  /** Index in the given list */
  readonly index: number;
  readonly fittedDeg: number;
  /** Angle of the point minus the fitted angle */
  readonly residualDeg: number;
  /** True if the residual is so large that the point is probably mistyped or misread */
  readonly standsOut: boolean;
}

/** A helicoid fitted to scale points. */
export interface RingFit {
  /** Ring angle at infinity */
  readonly atInfinityDeg: number;
  /** Ring degrees per mm of extension; negative for a ring that counts down */
  readonly degPerMm: number;
  readonly points: readonly FittedPoint[];
  /** Median absolute residual: how well a smooth scale describes this ring */
  readonly typicalDeg: number;
}

/** Reading error of a hand-read angle that is still common, in degrees. */
const READING_ERROR_DEG = 2.5;

/** Robust standard deviations beyond which a point stands out. */
const OUTLIER_SIGMAS = 4;

/** Factor from median absolute deviation to standard deviation for normal errors. */
const MAD_TO_SIGMA = 1.4826;

/** One point in this number may be wrong; at least one in any case. */
const POINTS_PER_WRONG = 4;

/** A helicoid that typically misses by more than this does not describe the ring: its curve may bend. */
const HELICOID_DEG = 1;
/** Fewest points that show a bend beside one wrong point. */
const MIN_POINTS_BENT = 6;

/** A point of the scale as it is fitted: extension against angle. */
interface Sample {
  readonly index: number;
  readonly outMm: number;
  readonly ringDeg: number;
}

/** Ring angle over extension: a polynomial, constant term first. */
type Curve = readonly number[];

/**
 * Fits a helicoid with a free offset and a free throw, so that a few wrong points do not bend it, and returns all residuals. If no
 * helicoid describes the ring, its curve may bend as well: real rings have cams, and are taped from elsewhere.
 *
 * Curves are laid through two points each, or three if they bend. The best one is nearest to all points except the few that may be wrong.
 * It is then fitted by least squares to the points that do not stand out.
 *
 * @param points - valid distances and angles in any order. Returns null unless at least two distances differ.
 * @param focalLengthMm - > 0; points nearer than four focal lengths are excluded and get no residual
 * Source: P. J. Rousseeuw, Least Median of Squares Regression, 1984, with a higher quantile than the median.
 * @example three points on a helicoid and one 20° off: only the last one stands out
 */
export function fitHelicoid(points: readonly RingPoint[], focalLengthMm: number, principalSeparationMm = 0): RingFit | null {
  const samples = points.flatMap(({ distanceMm, ringDeg }, index): Sample[] => {
    const tapeMm = distanceMm ?? Infinity;
    if (!(tapeMm - principalSeparationMm >= 4 * focalLengthMm) || !Number.isFinite(ringDeg)) return [];
    return [{ index, outMm: conjugates(focalLengthMm, tapeMm, principalSeparationMm).extensionMm, ringDeg }];
  });
  const helicoid = robustCurve(samples, 2);
  if (!helicoid) return null;
  const isBent = samples.length >= MIN_POINTS_BENT && typicalMissDeg(samples, helicoid) > HELICOID_DEG;
  const curve = (isBent && robustCurve(samples, 3)) || helicoid;
  const allowedDeg = limitDeg(samples, curve);
  return {
    atInfinityDeg: helicoid[0]!,
    degPerMm: helicoid[1]!,
    typicalDeg: typicalMissDeg(samples, curve),
    points: samples.map((sample) => {
      const residualDeg = residualOf(sample, curve);
      return {
        index: sample.index,
        fittedDeg: sample.ringDeg - residualDeg,
        residualDeg,
        // with three points or fewer, nothing shows which one is wrong
        standsOut: samples.length > 3 && Math.abs(residualDeg) > allowedDeg,
      };
    }),
  };
}

/**
 * The curve from which most points lie least far, fitted to those that do not stand out from it.
 *
 * @param terms - 2 for a straight line, 3 for one that bends
 * @returns null if too few points differ in extension
 */
function robustCurve(samples: readonly Sample[], terms: number): Curve | null {
  const right = Math.max(samples.length - Math.max(1, Math.floor(samples.length / POINTS_PER_WRONG)), 2);
  let [best, bestMiss]: [Curve | null, number] = [null, Infinity];
  for (const few of choices(evenlySpread(samples), terms)) {
    const curve = leastSquares(few, terms);
    const miss = curve ? sortedMisses(samples, curve)[right - 1]! : Infinity;
    if (miss < bestMiss) [best, bestMiss] = [curve, miss];
  }
  if (!best) return null;
  const limit = limitDeg(samples, best);
  const robust = best;
  return leastSquares(
    samples.filter((sample) => Math.abs(residualOf(sample, robust)) <= limit),
    terms,
  );
}

/** Points that curves are laid through: of a long scale a few, so that the choices stay few. */
const MAX_CHOSEN = 16;

function evenlySpread(samples: readonly Sample[]): readonly Sample[] {
  if (samples.length <= MAX_CHOSEN) return samples;
  const sorted = [...samples].sort((a, b) => a.outMm - b.outMm);
  return Array.from({ length: MAX_CHOSEN }, (_, k) => sorted[Math.round((k * (sorted.length - 1)) / (MAX_CHOSEN - 1))]!);
}

/** All choices of a number of items. */
function choices<T>(items: readonly T[], count: number): T[][] {
  if (count === 0) return [[]];
  return items.flatMap((item, k) => choices(items.slice(k + 1), count - 1).map((others) => [item, ...others]));
}

/** Least squares by the normal equations, with extensions as shares of the longest; null if the points do not fix the curve. */
function leastSquares(samples: readonly Sample[], terms: number): Curve | null {
  const scaleMm = Math.max(...samples.map(({ outMm }) => outMm));
  const rows = Array.from({ length: terms }, (_, i) => [
    ...Array.from({ length: terms }, (__, j) => sumOf(samples, ({ outMm }) => (outMm / scaleMm) ** (i + j))),
    sumOf(samples, ({ outMm, ringDeg }) => ringDeg * (outMm / scaleMm) ** i),
  ]);
  const scaled = solved(rows);
  return scaled && scaled.map((value, power) => value / scaleMm ** power);
}

/** Solves linear equations, each a row of coefficients and its right side, by elimination with pivots. */
function solved(rows: number[][]): number[] | null {
  const size = rows.length;
  for (let column = 0; column < size; column++) {
    const pivot = rows.slice(column).reduce((best, row) => (Math.abs(row[column]!) > Math.abs(best[column]!) ? row : best));
    if (!(Math.abs(pivot[column]!) > SINGULAR)) return null;
    rows.splice(rows.indexOf(pivot), 1);
    rows.splice(column, 0, pivot);
    for (const row of rows) {
      if (row === pivot) continue;
      const factor = row[column]! / pivot[column]!;
      for (let k = column; k <= size; k++) row[k]! -= factor * pivot[k]!;
    }
  }
  return rows.map((row, k) => row[size]! / row[k]!);
}

/** Below this a pivot is rounding. */
const SINGULAR = 1e-12;

function sumOf<T>(items: readonly T[], of: (item: T) => number): number {
  return items.reduce((sum, item) => sum + of(item), 0);
}

function residualOf({ outMm, ringDeg }: Sample, curve: Curve): number {
  return ringDeg - curve.reduceRight((value, term) => value * outMm + term, 0);
}

function sortedMisses(samples: readonly Sample[], curve: Curve): number[] {
  return samples.map((sample) => Math.abs(residualOf(sample, curve))).sort((a, b) => a - b);
}

/** Median absolute residual. */
function typicalMissDeg(samples: readonly Sample[], curve: Curve): number {
  const misses = sortedMisses(samples, curve);
  const middle = misses.length >> 1;
  return misses.length % 2 ? misses[middle]! : (misses[middle - 1]! + misses[middle]!) / 2;
}

/** Residual beyond which a point stands out. */
function limitDeg(samples: readonly Sample[], curve: Curve): number {
  return Math.max(READING_ERROR_DEG, OUTLIER_SIGMAS * MAD_TO_SIGMA * typicalMissDeg(samples, curve));
}

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
  /** Median absolute residual: how well a helicoid describes this ring */
  readonly typicalDeg: number;
}

/** Common reading error of a hand-read angle, in degrees. */
const READING_ERROR_DEG = 1.5;

/** Robust standard deviations beyond which a point stands out. */
const OUTLIER_SIGMAS = 4;

/** Factor from median absolute deviation to standard deviation for normal errors. */
const MAD_TO_SIGMA = 1.4826;

/**
 * Fits a helicoid to scale points so that a few wrong points do not bend it, and returns all residuals.
 *
 * @param points - valid distances and angles in any order. Returns null unless at least two distances differ.
 * @param focalLengthMm - > 0; points nearer than four focal lengths are excluded and get no residual
 * Source: P. K. Sen, Estimates of the regression coefficient based on Kendall's tau, 1968: median of the slopes of all pairs,
 * here of ring angle over extension.
 * @example three points on a helicoid and one 20° off: only the last one stands out
 */
export function fitHelicoid(points: readonly RingPoint[], focalLengthMm: number, principalSeparationMm = 0): RingFit | null {
  const usable = points.flatMap(({ distanceMm, ringDeg }, index) => {
    const tapeMm = distanceMm ?? Infinity;
    if (!(tapeMm - principalSeparationMm >= 4 * focalLengthMm) || !Number.isFinite(ringDeg)) return [];
    return [{ index, outMm: conjugates(focalLengthMm, tapeMm, principalSeparationMm).extensionMm, ringDeg }];
  });
  const slopes = usable.flatMap((a, k) =>
    usable.slice(k + 1).flatMap((b) => (a.outMm === b.outMm ? [] : [(b.ringDeg - a.ringDeg) / (b.outMm - a.outMm)])),
  );
  if (slopes.length === 0) return null;
  const degPerMm = median(slopes);
  const atInfinityDeg = median(usable.map(({ outMm, ringDeg }) => ringDeg - degPerMm * outMm));
  const residuals = usable.map(({ outMm, ringDeg }) => ringDeg - (atInfinityDeg + degPerMm * outMm));
  const typicalDeg = median(residuals.map(Math.abs));
  const limitDeg = Math.max(READING_ERROR_DEG, OUTLIER_SIGMAS * MAD_TO_SIGMA * typicalDeg);
  return {
    atInfinityDeg,
    degPerMm,
    typicalDeg,
    points: usable.map(({ index, outMm }, k) => ({
      index,
      fittedDeg: atInfinityDeg + degPerMm * outMm,
      residualDeg: residuals[k]!,
      // with three points or fewer, nothing shows which one is wrong
      standsOut: usable.length > 3 && Math.abs(residuals[k]!) > limitDeg,
    })),
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

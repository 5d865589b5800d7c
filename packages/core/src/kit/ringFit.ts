import { conjugates } from '../optics/index.js';
import type { RingPoint } from './tableRing.js';

/** A scale point held against the helicoid that runs through the others. */
export interface FittedPoint {
  /** Place in the list that was given */
  readonly index: number;
  readonly fittedDeg: number;
  /** The point's angle less the fitted one */
  readonly residualDeg: number;
  /** So far off that it is most likely mistyped or misread */
  readonly standsOut: boolean;
}

/** A helicoid laid through scale points. */
export interface RingFit {
  /** Ring angle at infinity */
  readonly atInfinityDeg: number;
  /** Ring degrees for each millimetre that the lens moves out; negative for a ring that counts down */
  readonly degPerMm: number;
  readonly points: readonly FittedPoint[];
  /** Median size of the residuals: how well a helicoid tells this ring */
  readonly typicalDeg: number;
}

/** A residual within this many degrees is a reading error as hands make them. */
const READING_DEG = 1.5;

/** From how many robust standard deviations on a point stands out. */
const FAR_OFF = 4;

/** Median absolute deviation to standard deviation, for normal errors. */
const MAD_TO_SIGMA = 1.4826;

/**
 * Lays a helicoid through scale points so that a few wrong ones do not bend it, and says how far each is off.
 *
 * @param points - valid distances and angles, in any order; at least two different distances, else null
 * @param focalLengthMm - > 0; points closer than four of them are left out of the fit and have no residual
 * Source: P. K. Sen, Estimates of the regression coefficient based on Kendall's tau, 1968: the median of the slopes of all pairs,
 * here of ring angle over how far the lens moves out.
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
  const limitDeg = Math.max(READING_DEG, FAR_OFF * MAD_TO_SIGMA * typicalDeg);
  return {
    atInfinityDeg,
    degPerMm,
    typicalDeg,
    points: usable.map(({ index, outMm }, k) => ({
      index,
      fittedDeg: atInfinityDeg + degPerMm * outMm,
      residualDeg: residuals[k]!,
      // with three points or fewer nobody can tell which one is wrong
      standsOut: usable.length > 3 && Math.abs(residuals[k]!) > limitDeg,
    })),
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

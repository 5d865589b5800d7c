import { type LensRing, withinReach } from '../kit/index.js';
import { conjugates, type ZoneLens, zoneLimits } from '../optics/index.js';

/** Entries of a table, evenly spaced over the ring. */
export const ENTRIES = 2048;

/**
 * The zone by ring angle, precomputed in 1/distance. Both limits are almost linear there, so linear interpolation is as good as
 * the formula. Sharp means `far <= 1 / distance <= near`.
 */
export interface ZoneTable {
  readonly lowDeg: number;
  readonly perDeg: number;
  /** Limits in 1/mm; 0 for infinity. Length `ENTRIES + 1` */
  readonly near: Float64Array;
  readonly far: Float64Array;
}

/** @param blurMm - permitted blur: the circle of confusion, or the blur that a beat requires */
export function zoneTableOf(
  ring: LensRing,
  lens: ZoneLens,
  blurMm: number,
  { lowDeg, highDeg }: { readonly lowDeg: number; readonly highDeg: number },
): ZoneTable {
  const near = new Float64Array(ENTRIES + 1);
  const far = new Float64Array(ENTRIES + 1);
  const stepDeg = (highDeg - lowDeg) / ENTRIES;
  const asked = { ...lens, circleOfConfusionMm: blurMm };
  for (let entry = 0; entry <= ENTRIES; entry++) {
    const at = conjugates(
      lens.focalLengthMm,
      ring.distanceAt(Math.min(lowDeg + entry * stepDeg, highDeg)),
      lens.principalSeparationMm,
    );
    const limits = zoneLimits(asked, at.objectMm, at.imageMm);
    near[entry] = 1 / limits.nearMm;
    far[entry] = 1 / limits.farMm;
  }
  return { lowDeg, perDeg: 1 / stepDeg, near, far };
}

/** Distances that are told apart from the focus distance by ring angle: everything nearer or farther than by a share of it. */
export function distanceTableOf(
  ring: LensRing,
  { lowDeg, highDeg }: { readonly lowDeg: number; readonly highDeg: number },
  share: number,
): ZoneTable {
  const { perDeg, perMm } = focusTableOf(ring, { lowDeg, highDeg });
  return { lowDeg, perDeg, near: perMm.map((value) => value / (1 - share)), far: perMm.map((value) => value / (1 + share)) };
}

/** The focus distance by ring angle, likewise. */
export interface FocusTable {
  readonly lowDeg: number;
  readonly perDeg: number;
  /** In 1/mm; 0 for infinity. Length `ENTRIES + 1` */
  readonly perMm: Float64Array;
}

export function focusTableOf(
  ring: LensRing,
  { lowDeg, highDeg }: { readonly lowDeg: number; readonly highDeg: number },
): FocusTable {
  const stepDeg = (highDeg - lowDeg) / ENTRIES;
  const perMm = Float64Array.from(
    { length: ENTRIES + 1 },
    (_, entry) => 1 / ring.distanceAt(Math.min(lowDeg + entry * stepDeg, highDeg)),
  );
  return { lowDeg, perDeg: 1 / stepDeg, perMm };
}

/** Ring angles by 1/distance, evenly spaced from infinity to close focus. They are almost linear there as well. */
export interface AngleTable {
  /** Entries per 1/mm */
  readonly perPerMm: number;
  /** Length `ENTRIES + 1` */
  readonly degs: Float64Array;
}

export function angleTableOf(ring: LensRing): AngleTable {
  const stepPerMm = 1 / ring.closeFocusMm / ENTRIES;
  const degs = Float64Array.from({ length: ENTRIES + 1 }, (_, entry) =>
    ring.angleAt(withinReach(ring, entry === 0 ? Infinity : Math.max(1 / (entry * stepPerMm), ring.closeFocusMm))),
  );
  return { perPerMm: 1 / stepPerMm, degs };
}

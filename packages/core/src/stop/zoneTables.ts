import { type LensRing, withinReach } from '../kit/index.js';
import { conjugates, type ZoneLens, zoneLimits } from '../optics/index.js';

/** Entries of a table, evenly from one end of the ring to the other. */
export const ENTRIES = 2048;

/**
 * The zone by ring angle, worked out once: as one over distance, in which both limits run almost straight, so that between two entries the straight line is as good as the formula. Sharp is
 * `far <= 1 / distance <= near`.
 */
export interface ZoneTable {
  readonly lowDeg: number;
  readonly perDeg: number;
  /** One over the limits, in 1/mm; 0 for infinity. Of length `ENTRIES + 1` */
  readonly near: Float64Array;
  readonly far: Float64Array;
}

/** @param blurMm - what passes: the circle of confusion, or a blur that is asked for */
export function zoneTableOf(ring: LensRing, lens: ZoneLens, blurMm: number, lowDeg: number, highDeg: number): ZoneTable {
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

/** Ring angles by one over distance, evenly from infinity to the closest the ring goes: in which they, too, run almost straight. */
export interface AngleTable {
  /** Entries for one 1/mm */
  readonly perPerMm: number;
  /** Of length `ENTRIES + 1` */
  readonly degs: Float64Array;
}

export function angleTableOf(ring: LensRing): AngleTable {
  const stepPerMm = 1 / ring.closeFocusMm / ENTRIES;
  const degs = Float64Array.from({ length: ENTRIES + 1 }, (_, entry) =>
    ring.angleAt(withinReach(ring, entry === 0 ? Infinity : Math.max(1 / (entry * stepPerMm), ring.closeFocusMm))),
  );
  return { perPerMm: 1 / stepPerMm, degs };
}

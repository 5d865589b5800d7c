import type { LensRing } from '../kit/index.js';
import { conjugates, type ZoneLens, zoneLimits } from '../optics/index.js';

/** Entries of a table, evenly in ring angle from one end of the ring to the other. */
const ENTRIES = 2048;

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

/** Whether a subject is within the zone of a ring angle. */
export function isWithin({ lowDeg, perDeg, near, far }: ZoneTable, ringDeg: number, perMm: number): boolean {
  const at = Math.min(Math.max((ringDeg - lowDeg) * perDeg, 0), ENTRIES);
  const entry = Math.min(at | 0, ENTRIES - 1);
  const share = at - entry;
  const nearPerMm = near[entry]! + share * (near[entry + 1]! - near[entry]!);
  const farPerMm = far[entry]! + share * (far[entry + 1]! - far[entry]!);
  return perMm <= nearPerMm * LOOSE && perMm >= farPerMm / LOOSE;
}

/** Rounding at the very edge is forgiven. */
const LOOSE = 1 + 1e-9;

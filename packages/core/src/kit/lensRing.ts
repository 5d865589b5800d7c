import { assertInRange } from '../errors.js';
import { conjugates, tapeAtExtension } from '../optics/index.js';
import { assertOnRing, assertReach } from './ringEnds.js';
import { type RingPoint, tableRing } from './tableRing.js';

/** The focus ring of a lens: tape distance to ring angle and back. */
export interface LensRing {
  /**
   * Ring angle in degrees for a tape distance; Infinity allowed.
   *
   * @throws {CoreError} `closer-than-close-focus`, `beyond-the-scale`, `not-a-number`
   */
  angleAt(distanceMm: number): number;
  /**
   * Tape distance for a ring angle: the inverse of `angleAt`, to 1e-9 relative.
   *
   * @throws {CoreError} `outside-ring`, `not-a-number`
   */
  distanceAt(ringDeg: number): number;
  /** From one end of the scale to the other, in degrees. */
  readonly throwDeg: number;
  /** The nearest distance the ring reaches. */
  readonly closeFocusMm: number;
  /** The farthest: Infinity unless a table stops short of it. */
  readonly farthestMm: number;
}

export type LensRingOptions =
  | {
      readonly kind: 'helicoid';
      readonly focalLengthMm: number;
      /** Turn from infinity to close focus, > 0 */
      readonly focusThrowDeg: number;
      /** At least four focal lengths */
      readonly closeFocusMm: number;
      readonly principalSeparationMm?: number;
    }
  | { readonly kind: 'table'; readonly points: readonly RingPoint[] };

/**
 * The ring of a lens: by its helicoid when no scale is known (angle proportional to how far the lens moves out; 0 at infinity), or by its scale points.
 *
 * @throws {CoreError} as `conjugates`, and as `tableRing`
 * @example lensRing({ kind: 'helicoid', focalLengthMm: 50, focusThrowDeg: 270, closeFocusMm: 1500 }).angleAt(12792) is 29.74…
 */
export function lensRing(options: LensRingOptions): LensRing {
  return options.kind === 'table' ? tableRing(options.points) : helicoidRing(options);
}

function helicoidRing(options: Extract<LensRingOptions, { kind: 'helicoid' }>): LensRing {
  const { focalLengthMm, focusThrowDeg, closeFocusMm, principalSeparationMm = 0 } = options;
  assertInRange('focusThrowDeg', focusThrowDeg, { above: 0 });
  const degPerMm = focusThrowDeg / conjugates(focalLengthMm, closeFocusMm, principalSeparationMm).extensionMm;
  return {
    throwDeg: focusThrowDeg,
    closeFocusMm,
    farthestMm: Infinity,
    angleAt(distanceMm) {
      assertReach(distanceMm, closeFocusMm, Infinity);
      return degPerMm * conjugates(focalLengthMm, distanceMm, principalSeparationMm).extensionMm;
    },
    distanceAt(ringDeg) {
      assertOnRing(ringDeg, 0, focusThrowDeg);
      return tapeAtExtension(focalLengthMm, ringDeg / degPerMm, principalSeparationMm);
    },
  };
}

/** The nearest distance to `distanceMm` that the ring reaches. */
export function withinReach(ring: LensRing, distanceMm: number): number {
  return Math.min(Math.max(distanceMm, ring.closeFocusMm), ring.farthestMm);
}

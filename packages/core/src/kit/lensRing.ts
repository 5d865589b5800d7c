import { assertInRange } from '../errors.js';
import { conjugates, tapeAtExtension } from '../optics/index.js';
import { assertOnRing, assertReach } from './ringEnds.js';
import type { LensRing, RingPoint } from './ring.js';
import { tableRing } from './tableRing.js';

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
 * The ring of a lens. Without a known scale it is a helicoid: the angle is proportional to the extension, 0 at infinity.
 * Otherwise it follows its scale points.
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

/** `distanceMm` clamped to the distances the ring reaches. */
export function withinReach(ring: LensRing, distanceMm: number): number {
  return Math.min(Math.max(distanceMm, ring.closeFocusMm), ring.farthestMm);
}

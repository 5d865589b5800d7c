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
  | {
      readonly kind: 'fitted';
      readonly focalLengthMm: number;
      /** Ring angle at infinity */
      readonly atInfinityDeg: number;
      /** Ring degrees per mm of extension, not 0; negative for a ring that counts down towards near */
      readonly degPerMm: number;
      /** At least four focal lengths */
      readonly closeFocusMm: number;
      readonly principalSeparationMm?: number;
    }
  | { readonly kind: 'table'; readonly points: readonly RingPoint[] };

/**
 * The ring of a lens. Without a known scale it is a helicoid: the angle is proportional to the extension, 0 at infinity. A ring that was
 * fitted to readings is one as well, with a zero of its own. Otherwise the ring follows its scale points.
 *
 * @throws {CoreError} as `conjugates`, and as `tableRing`
 * @example lensRing({ kind: 'helicoid', focalLengthMm: 50, focusThrowDeg: 270, closeFocusMm: 1500 }).angleAt(12792) is 29.74…
 */
export function lensRing(options: LensRingOptions): LensRing {
  if (options.kind === 'table') return tableRing(options.points);
  const { focalLengthMm, closeFocusMm, principalSeparationMm = 0 } = options;
  const nearMm = conjugates(focalLengthMm, closeFocusMm, principalSeparationMm).extensionMm;
  if (options.kind === 'helicoid') {
    const { focusThrowDeg } = options;
    assertInRange('focusThrowDeg', focusThrowDeg, { above: 0 });
    return helicoidRing(options, { atInfinityDeg: 0, nearDeg: focusThrowDeg, degPerMm: focusThrowDeg / nearMm });
  }
  const { atInfinityDeg, degPerMm } = options;
  return helicoidRing(options, { atInfinityDeg, nearDeg: atInfinityDeg + degPerMm * nearMm, degPerMm });
}

/** The angle is proportional to the extension, from the angle at infinity on to the one at close focus. */
function helicoidRing(
  optics: { readonly focalLengthMm: number; readonly closeFocusMm: number; readonly principalSeparationMm?: number },
  turn: { readonly atInfinityDeg: number; readonly nearDeg: number; readonly degPerMm: number },
): LensRing {
  const { focalLengthMm, closeFocusMm, principalSeparationMm = 0 } = optics;
  const { atInfinityDeg, nearDeg, degPerMm } = turn;
  return {
    throwDeg: Math.abs(nearDeg - atInfinityDeg),
    closeFocusMm,
    farthestMm: Infinity,
    angleAt(distanceMm) {
      assertReach(distanceMm, closeFocusMm, Infinity);
      return atInfinityDeg + degPerMm * conjugates(focalLengthMm, distanceMm, principalSeparationMm).extensionMm;
    },
    distanceAt(ringDeg) {
      assertOnRing(ringDeg, atInfinityDeg, nearDeg);
      // an angle just past infinity, by rounding, is infinity
      return tapeAtExtension(focalLengthMm, Math.max((ringDeg - atInfinityDeg) / degPerMm, 0), principalSeparationMm);
    },
  };
}

/** `distanceMm` clamped to the distances the ring reaches. */
export function withinReach(ring: LensRing, distanceMm: number): number {
  return Math.min(Math.max(distanceMm, ring.closeFocusMm), ring.farthestMm);
}

import { geometricStop } from '../optics/index.js';
import type { StopScale } from '../units/index.js';
import { lensRing, type LensRing } from './lensRing.js';
import type { RingPoint } from './tableRing.js';

/** A lens as a shot needs it. */
export interface Lens {
  readonly name: string;
  readonly focalLengthMm: number;
  readonly stopScale: StopScale;
  /** Smallest number on the stop ring */
  readonly widestStop: number;
  /** Largest number on the stop ring */
  readonly narrowestStop: number;
  /** Share of light the glass lets through, above 0 up to 1; tells T from f */
  readonly transmittance: number;
  /** Nearest tape distance it focuses to */
  readonly closeFocusMm: number;
  /** Between the principal planes; 0 when unknown */
  readonly principalSeparationMm: number;
  readonly ring:
    | { readonly kind: 'helicoid'; readonly focusThrowDeg: number }
    | { readonly kind: 'table'; readonly points: readonly RingPoint[] };
  /** Which way the ring turns to focus nearer, seen from behind the camera */
  readonly nearerTurns: 'clockwise' | 'anticlockwise';
}

/** The geometric f-number of a stop on this lens's scale: depth of field goes by it. */
export function fNumberOf(lens: Lens, stop: number): number {
  return lens.stopScale === 'T' ? geometricStop(stop, lens.transmittance) : stop;
}

/** The ring of this lens. @throws {CoreError} as `lensRing` */
export function ringOf(lens: Lens): LensRing {
  return lens.ring.kind === 'table'
    ? lensRing({ kind: 'table', points: lens.ring.points })
    : lensRing({
        kind: 'helicoid',
        focalLengthMm: lens.focalLengthMm,
        focusThrowDeg: lens.ring.focusThrowDeg,
        closeFocusMm: lens.closeFocusMm,
        principalSeparationMm: lens.principalSeparationMm,
      });
}

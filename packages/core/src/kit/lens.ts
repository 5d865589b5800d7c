import { conjugates, geometricStop } from '../optics/index.js';
import { type StopScale, stopScale } from '../units/index.js';
import { lensRing, type LensRing } from './lensRing.js';
import type { RingPoint } from './tableRing.js';

/** Whether marks on the ring hold: by angle they do; by speed of turning they do not; in steps they are counts of presses. */
export const RING_RESPONSES = ['angle', 'speed', 'steps'] as const;
export type RingResponse = (typeof RING_RESPONSES)[number];

/** Whether a zoom keeps its focus while it zooms, as tested. */
export const HOLD_TESTS = ['untested', 'holds', 'drifts'] as const;
export type HoldTest = (typeof HOLD_TESTS)[number];

/** A lens, as a kit describes it and a shot keeps it. Lengths in mm, angles in ring degrees. */
export interface Lens {
  readonly name: string;
  /** Of a zoom its shortest */
  readonly focalLengthMm: number;
  /** The same as `focalLengthMm` unless it is a zoom */
  readonly longestMm: number;
  readonly stopScale: StopScale;
  /** Smallest number on the stop ring; of a zoom at its shortest */
  readonly widestStop: number;
  /** The same as `widestStop` unless a zoom loses light as it goes long */
  readonly widestStopLong: number;
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
  readonly response: RingResponse;
  /** Presses from one end to the other, for a ring in steps; else 0 */
  readonly stepCount: number;
  /** Whether it tells the camera its focal length, stop and distance */
  readonly reportsData: boolean;
  /** How much wider the picture becomes when unsqueezed; 1 for spherical lenses */
  readonly squeeze: number;
  /** How much wider the picture gets from infinity to close focus, in percent; negative for narrower */
  readonly breathingPercent: number;
  /** Only for a zoom */
  readonly holdsFocus: HoldTest;
  readonly frontDiameterMm: number | null;
  /** Outer diameter of the focus ring */
  readonly ringDiameterMm: number | null;
  /** Of the focus ring: pitch and teeth, or a grip ring; empty for none */
  readonly gear: string;
}

/** A lens as its owner keeps it: the lens, and what is known about it that no shot needs. */
export interface KitLens {
  readonly lens: Lens;
  readonly isHired: boolean;
  /** When and by whom a zoom was tested for holding focus; both empty when it was not */
  readonly holdTestedOn: string;
  readonly holdTestedBy: string;
  readonly notes: string;
}

export function isZoom(lens: Lens): boolean {
  return lens.longestMm > lens.focalLengthMm;
}

/** The geometric f-number of a stop on this lens's scale: depth of field goes by it. */
export function fNumberOf(lens: Lens, stop: number): number {
  return lens.stopScale === 'T' ? geometricStop(stop, lens.transmittance) : stop;
}

/** The T-stop of a stop on this lens's scale: exposure goes by it. */
export function tStopOf(lens: Lens, stop: number): number {
  return lens.stopScale === 'T' ? stop : stop / Math.sqrt(lens.transmittance);
}

/** What the stop ring would have to say for a geometric f-number. */
export function stopOfFNumber(lens: Lens, fNumber: number): number {
  return lens.stopScale === 'T' ? fNumber / Math.sqrt(lens.transmittance) : fNumber;
}

/**
 * The widest stop at a focal length. Between the ends of a zoom the stop follows the logarithm of the focal length: an assumption, exact at both ends.
 */
export function widestStopAt(lens: Lens, focalLengthMm: number): number {
  if (!isZoom(lens)) return lens.widestStop;
  const progress = Math.log(focalLengthMm / lens.focalLengthMm) / Math.log(lens.longestMm / lens.focalLengthMm);
  return lens.widestStop * (lens.widestStopLong / lens.widestStop) ** Math.min(Math.max(progress, 0), 1);
}

/** The stops that the lens offers at a focal length, in thirds; its own two ends whether they are engraved or not. */
export function stopsAt(lens: Lens, focalLengthMm: number): number[] {
  return stopScale(widestStopAt(lens, focalLengthMm), lens.narrowestStop);
}

/**
 * How much wider the picture gets when the focus goes from one distance to another: the lens's breathing, in proportion to how far it moves out.
 *
 * @returns percent of the width, negative for narrower; 0 for a lens that does not breathe
 */
export function breathingBetween(lens: Lens, fromMm: number, toMm: number): number {
  const { focalLengthMm, principalSeparationMm: s, breathingPercent, closeFocusMm } = lens;
  const outMm = (mm: number) => conjugates(focalLengthMm, Math.max(mm, closeFocusMm), s).extensionMm;
  return breathingPercent === 0 ? 0 : (breathingPercent * (outMm(toMm) - outMm(fromMm))) / outMm(closeFocusMm);
}

/**
 * The ring of this lens. The scale of a zoom is engraved once and stays where it is while it zooms; without scale points it is taken as the helicoid
 * of the shortest focal length.
 *
 * @throws {CoreError} as `lensRing`
 */
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

/** A lens known by its figures alone, everything else as is usual: what a new lens starts from. */
export function plainLens(figures: Pick<Lens, 'name' | 'focalLengthMm'> & Partial<Lens>): Lens {
  const { focalLengthMm, widestStop = 2.2 } = figures;
  return {
    longestMm: focalLengthMm,
    stopScale: 'T',
    widestStop,
    widestStopLong: widestStop,
    narrowestStop: 22,
    transmittance: 0.85,
    closeFocusMm: Math.max(10 * focalLengthMm, 250),
    principalSeparationMm: 0,
    ring: { kind: 'helicoid', focusThrowDeg: 280 },
    nearerTurns: 'clockwise',
    response: 'angle',
    stepCount: 0,
    reportsData: false,
    squeeze: 1,
    breathingPercent: 0,
    holdsFocus: 'untested',
    frontDiameterMm: null,
    ringDiameterMm: null,
    gear: '',
    ...figures,
  };
}

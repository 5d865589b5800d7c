import { conjugates, geometricStop } from '../optics/index.js';
import { stopScale, type StopScale } from '../units/index.js';
import { lensRing } from './lensRing.js';
import type { LensRing } from './ring.js';
import type { RingPoint } from './ring.js';

/**
 * What the focus ring responds to. Marks hold only for `angle`; with `steps` they are counts of presses; with `speed` they do
 * not hold.
 */
export const RING_RESPONSES = ['angle', 'speed', 'steps'] as const;
export type RingResponse = (typeof RING_RESPONSES)[number];

/** Test result: whether a zoom keeps focus while zooming. */
export const HOLD_TESTS = ['untested', 'holds', 'drifts'] as const;
export type HoldTest = (typeof HOLD_TESTS)[number];

/** Whether autofocus can use a lens: it has no motor for it; or with one, by the owner's test on this kit. */
export const LENS_AUTOFOCUS = ['untested', 'no-motor', 'works', 'fails'] as const;
export type LensAutofocus = (typeof LENS_AUTOFOCUS)[number];

/** A ring described by a few readings with their distances: a helicoid with a zero of its own, fitted to them. */
export interface FittedRing {
  readonly kind: 'fitted';
  /** Ring angle at infinity */
  readonly atInfinityDeg: number;
  /** Ring degrees per mm of extension; negative for a ring that counts down towards near */
  readonly degPerMm: number;
  /** The readings */
  readonly points: readonly RingPoint[];
}

/** A lens, as the kit describes it and a shot stores it. Lengths in mm, angles in ring degrees. */
export interface Lens {
  readonly name: string;
  /** Shortest focal length */
  readonly focalLengthMm: number;
  /** Longest focal length; equal to `focalLengthMm` for a prime */
  readonly longestMm: number;
  readonly stopScale: StopScale;
  /** Smallest number on the stop ring; for a zoom, at its shortest focal length */
  readonly widestStop: number;
  /** Widest stop at the longest focal length; differs only for a zoom that loses light there */
  readonly widestStopLong: number;
  /** Largest number on the stop ring */
  readonly narrowestStop: number;
  /** Share of light the glass transmits, above 0 up to 1; relates T-stop and f-number */
  readonly transmittance: number;
  /** Nearest focus distance (tape) */
  readonly closeFocusMm: number;
  /** Separation of the principal planes; 0 if unknown */
  readonly principalSeparationMm: number;
  readonly ring:
    | { readonly kind: 'helicoid'; readonly focusThrowDeg: number }
    | { readonly kind: 'table'; readonly points: readonly RingPoint[] }
    | FittedRing;
  /** Which way the ring turns to focus nearer, seen from behind the camera */
  readonly nearerTurns: 'clockwise' | 'anticlockwise';
  readonly response: RingResponse;
  /** Number of presses between the two ends, for a ring in steps; else 0 */
  readonly stepCount: number;
  /** Whether the lens reports focal length, stop and distance to the camera */
  readonly reportsData: boolean;
  readonly autofocus: LensAutofocus;
  /** Anamorphic factor by which the picture is widened; 1 for a spherical lens */
  readonly squeeze: number;
  /** Change of picture width from infinity to close focus in percent; negative if it gets narrower */
  readonly breathingPercent: number;
  /** Only for a zoom */
  readonly holdsFocus: HoldTest;
  readonly frontDiameterMm: number | null;
  /** Outer diameter of the focus ring */
  readonly ringDiameterMm: number | null;
  /** Gear of the focus ring: pitch and teeth, or a grip ring; empty for none */
  readonly gear: string;
}

/** A lens in the kit: the lens, plus data that no shot needs. */
export interface KitLens {
  readonly lens: Lens;
  readonly isHired: boolean;
  /** When and by whom the zoom was tested; both empty if untested */
  readonly holdTestedOn: string;
  readonly holdTestedBy: string;
  readonly notes: string;
}

export function isZoom(lens: Lens): boolean {
  return lens.longestMm > lens.focalLengthMm;
}

/** Geometric f-number of a stop as engraved. Depth of field uses it. */
export function fNumberOf(lens: Lens, stop: number): number {
  return lens.stopScale === 'T' ? geometricStop(stop, lens.transmittance) : stop;
}

/** T-stop of a stop as engraved. Exposure uses it. */
export function tStopOf(lens: Lens, stop: number): number {
  return lens.stopScale === 'T' ? stop : stop / Math.sqrt(lens.transmittance);
}

/** Stop as engraved for a geometric f-number. */
export function stopOfFNumber(lens: Lens, fNumber: number): number {
  return lens.stopScale === 'T' ? fNumber / Math.sqrt(lens.transmittance) : fNumber;
}

/**
 * Widest stop at a focal length. Between the ends of a zoom it is interpolated over the logarithm of the focal length: an
 * assumption, exact at both ends.
 */
export function widestStopAt(lens: Lens, focalLengthMm: number): number {
  if (!isZoom(lens)) return lens.widestStop;
  const progress = Math.log(focalLengthMm / lens.focalLengthMm) / Math.log(lens.longestMm / lens.focalLengthMm);
  return lens.widestStop * (lens.widestStopLong / lens.widestStop) ** Math.min(Math.max(progress, 0), 1);
}

/** Stops offered at a focal length, in thirds. Both ends are included even if they are not on the engraved scale. */
export function stopsAt(lens: Lens, focalLengthMm: number): number[] {
  return stopScale(widestStopAt(lens, focalLengthMm), lens.narrowestStop);
}

/**
 * Lens breathing: change of picture width when focus goes from one distance to another, in proportion to the lens's extension.
 *
 * @returns percent of the width, negative if it gets narrower; 0 for a lens that does not breathe
 */
export function breathingBetween(lens: Lens, fromMm: number, toMm: number): number {
  const { focalLengthMm, principalSeparationMm: s, breathingPercent } = lens;
  const nearestMm = nearestFocusMm(lens);
  const outMm = (mm: number) => conjugates(focalLengthMm, Math.max(mm, nearestMm), s).extensionMm;
  return breathingPercent === 0 ? 0 : (breathingPercent * (outMm(toMm) - outMm(fromMm))) / outMm(nearestMm);
}

/** Nearest tape distance that the ring reaches, in mm: that of its scale, if it has one of its own, else close focus. */
export function nearestFocusMm({ ring, closeFocusMm }: Pick<Lens, 'ring' | 'closeFocusMm'>): number {
  return ring.kind === 'table' ? Math.min(...ring.points.map(({ distanceMm }) => distanceMm ?? Infinity)) : closeFocusMm;
}

/**
 * The ring of this lens. The scale of a zoom stays where it is while zooming. Without scale points, the ring is the helicoid of
 * the shortest focal length.
 *
 * @throws {CoreError} as `lensRing`
 */
export function ringOf(lens: Lens): LensRing {
  const { ring, focalLengthMm, closeFocusMm, principalSeparationMm } = lens;
  if (ring.kind === 'table') return lensRing({ kind: 'table', points: ring.points });
  const optics = { focalLengthMm, closeFocusMm, principalSeparationMm };
  return ring.kind === 'helicoid'
    ? lensRing({ kind: 'helicoid', focusThrowDeg: ring.focusThrowDeg, ...optics })
    : lensRing({ kind: 'fitted', atInfinityDeg: ring.atInfinityDeg, degPerMm: ring.degPerMm, ...optics });
}

/**
 * Change of focus for one degree of turn at a distance, in mm. It is measured over a degree around the distance, or over what
 * the ring has there.
 *
 * @param atMm - tape distance on the ring, finite
 */
export function focusShiftPerDegMm(lens: Lens, atMm: number): number {
  const ring = ringOf(lens);
  const [a, b] = [ring.angleAt(ring.farthestMm), ring.angleAt(ring.closeFocusMm)];
  const half = Math.min(0.5, ring.throwDeg / 4);
  const middle = Math.min(Math.max(ring.angleAt(atMm), Math.min(a, b) + half), Math.max(a, b) - half);
  return Math.abs(ring.distanceAt(middle + half) - ring.distanceAt(middle - half)) / (2 * half);
}

/** A lens from a few figures, all else by default. */
export function defaultLens(figures: Pick<Lens, 'name' | 'focalLengthMm'> & Partial<Lens>): Lens {
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
    autofocus: 'untested',
    squeeze: 1,
    breathingPercent: 0,
    holdsFocus: 'untested',
    frontDiameterMm: null,
    ringDiameterMm: null,
    gear: '',
    ...figures,
  };
}

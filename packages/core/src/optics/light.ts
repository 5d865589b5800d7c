import { assertInRange } from '../errors.js';

/** What decides how bright a picture gets, for one light on the scene. */
export interface Exposure {
  /** Transmission, > 0 */
  readonly tStop: number;
  /** > 0 */
  readonly iso: number;
  /** Above 0 up to 360 */
  readonly shutterAngleDeg: number;
  readonly captureFps: number;
  /** Of neutral-density filters, in stops, at least 0 */
  readonly ndStops: number;
}

/**
 * How much brighter one setting is than another, in stops.
 *
 * @returns positive when `to` gives a brighter picture
 * Source: exposure goes with time (angle / 360 / frame rate), sensitivity, and the inverse square of the T-stop.
 * @example from T2.8 to T4, all else equal: −1.03
 */
export function brightnessChangeStops(from: Exposure, to: Exposure): number {
  return brightness(to) - brightness(from);
}

function brightness({ tStop, iso, shutterAngleDeg, captureFps, ndStops }: Exposure): number {
  assertInRange('tStop', tStop, { above: 0 });
  assertInRange('iso', iso, { above: 0 });
  assertInRange('shutterAngleDeg', shutterAngleDeg, { above: 0, max: 360 });
  assertInRange('captureFps', captureFps, { above: 0 });
  assertInRange('ndStops', ndStops, { min: 0 });
  return Math.log2(iso * shutterAngleDeg) - 2 * Math.log2(tStop) - Math.log2(captureFps) - ndStops;
}

/** Each single way to win back, or to take away, so many stops. Null where that way can't go so far. */
export interface WaysToBalance {
  readonly iso: number;
  /** What multiplies the light on the scene */
  readonly lampFactor: number;
  /** Strength of filters then needed; null when filters in place are too weak to take out */
  readonly ndStops: number | null;
  /** null beyond 360° */
  readonly shutterAngleDeg: number | null;
  readonly captureFps: number;
}

/**
 * What each control alone would have to be to make the picture brighter by so many stops.
 *
 * @param stops - positive for brighter, negative for darker
 */
export function waysToBrighten(at: Exposure, stops: number): WaysToBalance {
  assertInRange('stops', stops, {});
  brightness(at);
  const factor = 2 ** stops;
  const ndStops = at.ndStops - stops;
  const shutterAngleDeg = at.shutterAngleDeg * factor;
  return {
    iso: at.iso * factor,
    lampFactor: factor,
    ndStops: ndStops >= -1e-9 ? Math.max(ndStops, 0) : null,
    shutterAngleDeg: shutterAngleDeg <= 360 * (1 + 1e-9) ? shutterAngleDeg : null,
    captureFps: at.captureFps / factor,
  };
}

/** Density of a filter of so many stops: the decimal logarithm of its opacity. */
export function ndDensityOf(stops: number): number {
  return stops * Math.log10(2);
}

import { assertInRange } from '../errors.js';

/** Settings that decide the exposure for a given light on the scene. */
export interface Exposure {
  /** T-stop, > 0 */
  readonly tStop: number;
  /** > 0 */
  readonly iso: number;
  /** Above 0 up to 360 */
  readonly shutterAngleDeg: number;
  readonly captureFps: number;
  /** Neutral-density filters in stops, at least 0 */
  readonly ndStops: number;
}

/**
 * Difference of exposure between two settings, in stops.
 *
 * @returns positive if `to` gives the brighter picture
 * Source: exposure is proportional to time (angle / 360 / frame rate), ISO, and 1/T².
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

/** What each control alone must be set to for a change of exposure. Null if the control can't go that far. */
export interface WaysToBalance {
  readonly iso: number;
  /** Factor for the light on the scene */
  readonly lampFactor: number;
  /** Filter strength; null if the filters in place are too weak to remove that much */
  readonly ndStops: number | null;
  /** null above 360° */
  readonly shutterAngleDeg: number | null;
  readonly captureFps: number;
}

/**
 * What each control alone must be set to for a brighter picture.
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

/**
 * Nearest ISO that cameras offer: in thirds of a stop, rounded as their menus show them.
 *
 * @param iso - > 0
 * @example nearestIso(6531) is 6400
 */
export function nearestIso(iso: number): number {
  assertInRange('iso', iso, { above: 0 });
  const thirds = Math.round(3 * Math.log2(iso / 100));
  const stops = Math.floor(thirds / 3);
  // menus go 50 64 80, 100 125 160, and 800 1000 1250 from there on
  const [third, twoThirds] = [stops < 0 ? 128 : 125, stops < 3 ? 160 : 156.25];
  return Math.max(Math.round([100, third, twoThirds][thirds - 3 * stops]! * 2 ** stops), 1);
}

/** Density of a filter: the decimal logarithm of its opacity. */
export function ndDensityOf(stops: number): number {
  return stops * Math.log10(2);
}

import { brightnessChangeStops, type Exposure, waysToBrighten } from '../optics/index.js';

/** One way to win light back, or to take it away: what is set, and by how much the lamps change. */
export interface LightBalance {
  readonly ndStops: number;
  readonly iso: number;
  readonly shutterAngleDeg: number;
  /** What multiplies the light on the scene */
  readonly lampFactor: number;
  /** The shutter is not at the angle the production is shot at: movement looks different */
  readonly leavesAngle: boolean;
}

/** What may be set, and the angle the production is shot at. */
export interface LightLimits {
  readonly iso: { readonly min: number; readonly max: number };
  readonly ndStops: { readonly max: number };
  readonly angleDeg: number;
}

/**
 * Combinations of filters, sensitivity, lamps and shutter that make the picture brighter by so many stops: each exact, from what changes the picture least to what changes it most.
 *
 * @param stops - positive for brighter, negative for darker
 * @throws {CoreError} as `waysToBrighten`
 */
export function lightBalances(at: Exposure, stops: number, limits: LightLimits): LightBalance[] {
  // asked for what it refuses
  waysToBrighten(at, stops);
  if (Math.abs(stops) < EVEN_STOPS) return [];
  const angle = towards(limits.angleDeg, at, stops);
  const wanted: Wish[] = [
    // filters in whole stops, as they are sold; sensitivity makes up the rest
    ...filterSteps(at, stops).map((ndBy) => ({ ndBy, isoBy: stops - ndBy })),
    { isoBy: stops },
    { lampBy: stops },
    { lampBy: Math.trunc(stops) || stops / 2, isoBy: stops - (Math.trunc(stops) || stops / 2) },
    ...(angle === 0 ? [] : [{ shutterBy: angle, isoBy: stops - angle }]),
    { shutterBy: stops },
  ];
  const found = wanted.flatMap((wish) => {
    const balance = balanced(at, wish, limits);
    return balance ? [balance] : [];
  });
  return found.filter((one, index) => found.findIndex((other) => isSame(one, other)) === index);
}

/** Stops as they are engraved: figures on a ring are rounded, and so near a third of a stop a third is meant. */
export function asEngraved(stops: number): number {
  const thirds = Math.round(stops * 3) / 3;
  return Math.abs(thirds - stops) < ROUNDED_BY ? thirds : stops;
}

/** No engraved figure is farther off than this. */
const ROUNDED_BY = 0.09;

/** Less than this nobody sees, and no meter shows. */
const EVEN_STOPS = 1 / 12;

/** By how many stops each control makes the picture brighter. */
interface Wish {
  readonly ndBy?: number;
  readonly isoBy?: number;
  readonly lampBy?: number;
  readonly shutterBy?: number;
}

/** Filters come in whole stops: so many of them out, or below 0 in, as come next to what is wanted on either side. */
function filterSteps({ ndStops }: Exposure, stops: number): number[] {
  const whole = [Math.ceil(stops - 1e-9), Math.floor(stops + 1e-9)].map((by) => Math.min(by, ndStops));
  return whole.filter((by, index) => by !== 0 && by > 0 === stops > 0 && whole.indexOf(by) === index);
}

/** Back to the production's angle, as far as that helps. */
function towards(angleDeg: number, at: Exposure, stops: number): number {
  const by = Math.log2(angleDeg / at.shutterAngleDeg);
  return Math.abs(by) < EVEN_STOPS || by > 0 !== stops > 0 ? 0 : by;
}

function balanced(
  at: Exposure,
  { ndBy = 0, isoBy = 0, lampBy = 0, shutterBy = 0 }: Wish,
  limits: LightLimits,
): LightBalance | null {
  const iso = at.iso * 2 ** isoBy;
  const ndStops = Math.max(at.ndStops - ndBy, 0);
  const shutterAngleDeg = at.shutterAngleDeg * 2 ** shutterBy;
  if (iso < limits.iso.min || iso > limits.iso.max || ndStops > limits.ndStops.max || shutterAngleDeg > 360) return null;
  return {
    iso,
    ndStops,
    shutterAngleDeg,
    lampFactor: 2 ** lampBy,
    leavesAngle: shutterBy !== 0 && Math.abs(shutterAngleDeg - limits.angleDeg) > 0.5,
  };
}

function isSame(a: LightBalance, b: LightBalance): boolean {
  const near = (x: number, y: number) => Math.abs(x - y) < 1e-6;
  return (
    near(a.iso, b.iso) &&
    near(a.ndStops, b.ndStops) &&
    near(a.shutterAngleDeg, b.shutterAngleDeg) &&
    near(a.lampFactor, b.lampFactor)
  );
}

/** How much brighter a balance makes the picture, lamps and all: what it was asked for. */
export function balanceStops(at: Exposure, { iso, ndStops, shutterAngleDeg, lampFactor }: LightBalance): number {
  return brightnessChangeStops(at, { ...at, iso, ndStops, shutterAngleDeg }) + Math.log2(lampFactor);
}

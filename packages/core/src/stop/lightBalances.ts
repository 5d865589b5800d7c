import { brightnessChangeStops, type Exposure, nearestIso, waysToBrighten } from '../optics/index.js';

/** One way to change exposure: camera settings, plus a factor for the lamps. */
export interface LightBalance {
  readonly ndStops: number;
  readonly iso: number;
  readonly shutterAngleDeg: number;
  /** Factor for the light on the scene */
  readonly lampFactor: number;
  /** The shutter angle differs from the production's, so motion looks different */
  readonly changesShutterAngle: boolean;
}

/** Available settings, and the production's shutter angle. */
export interface LightLimits {
  readonly iso: { readonly min: number; readonly max: number };
  readonly ndStops: { readonly max: number };
  readonly angleDeg: number;
}

/**
 * Combinations of filters, ISO, lamps and shutter for a given change of exposure. ISO goes in thirds of a stop, so that a
 * combination with another ISO is exact to a sixth. Least visible change first.
 *
 * @param stops - positive for brighter, negative for darker
 * @throws {CoreError} as `waysToBrighten`
 */
export function lightBalances(at: Exposure, stops: number, limits: LightLimits): LightBalance[] {
  // validates the arguments
  waysToBrighten(at, stops);
  if (Math.abs(stops) < MIN_VISIBLE_STOPS) return [];
  const angle = towards(limits.angleDeg, at, stops);
  const requested: Wish[] = [
    // filters come in whole stops; ISO makes up the rest
    ...filterSteps(at, stops).map((ndBy) => ({ ndBy, isoBy: stops - ndBy })),
    { isoBy: stops },
    { lampBy: stops },
    { lampBy: Math.trunc(stops) || stops / 2, isoBy: stops - (Math.trunc(stops) || stops / 2) },
    ...(angle === 0 ? [] : [{ shutterBy: angle, isoBy: stops - angle }]),
    { shutterBy: stops },
  ];
  const found = requested.flatMap((wish) => {
    const balance = balanced(at, wish, limits);
    return balance ? [balance] : [];
  });
  return found.filter((one, index) => found.findIndex((other) => isSame(one, other)) === index);
}

/**
 * Exact value of an engraved stop difference: figures on a ring are rounded, so a value near a third of a stop means that
 * third.
 */
export function asEngraved(stops: number): number {
  const thirds = Math.round(stops * 3) / 3;
  return Math.abs(thirds - stops) < MAX_ROUNDING_STOPS ? thirds : stops;
}

/** Largest rounding error of an engraved figure, in stops. */
const MAX_ROUNDING_STOPS = 0.09;

/** Smallest visible difference; a meter does not show less. */
const MIN_VISIBLE_STOPS = 1 / 12;

/** Change of exposure by each control, in stops. */
interface Wish {
  readonly ndBy?: number;
  readonly isoBy?: number;
  readonly lampBy?: number;
  readonly shutterBy?: number;
}

/** Whole stops of filter nearest to the requested change, on either side: positive removes filters, negative adds them. */
function filterSteps({ ndStops }: Exposure, stops: number): number[] {
  const whole = [Math.ceil(stops - 1e-9), Math.floor(stops + 1e-9)].map((by) => Math.min(by, ndStops));
  return whole.filter((by, index) => by !== 0 && by > 0 === stops > 0 && whole.indexOf(by) === index);
}

/** Towards the production's shutter angle, as far as that helps. */
function towards(angleDeg: number, at: Exposure, stops: number): number {
  const by = Math.log2(angleDeg / at.shutterAngleDeg);
  return Math.abs(by) < MIN_VISIBLE_STOPS || by > 0 !== stops > 0 ? 0 : by;
}

function balanced(
  at: Exposure,
  { ndBy = 0, isoBy = 0, lampBy = 0, shutterBy = 0 }: Wish,
  limits: LightLimits,
): LightBalance | null {
  const iso = isoBy === 0 ? at.iso : nearestIso(at.iso * 2 ** isoBy);
  const ndStops = Math.max(at.ndStops - ndBy, 0);
  const shutterAngleDeg = at.shutterAngleDeg * 2 ** shutterBy;
  const isNothing = iso === at.iso && ndBy === 0 && lampBy === 0 && shutterBy === 0;
  if (isNothing || iso < limits.iso.min || iso > limits.iso.max || ndStops > limits.ndStops.max || shutterAngleDeg > 360)
    return null;
  return {
    iso,
    ndStops,
    shutterAngleDeg,
    lampFactor: 2 ** lampBy,
    changesShutterAngle: shutterBy !== 0 && Math.abs(shutterAngleDeg - limits.angleDeg) > 0.5,
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

/** Change of exposure that a balance makes, including lamps. */
export function balanceStops(at: Exposure, { iso, ndStops, shutterAngleDeg, lampFactor }: LightBalance): number {
  return brightnessChangeStops(at, { ...at, iso, ndStops, shutterAngleDeg }) + Math.log2(lampFactor);
}

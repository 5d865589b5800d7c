import { ndDensityOf, nearestIso, PLAN_LIMITS, type ShotExposure, type ShotPlan, type waysToBrighten } from '@still-heron/core';

/** One way to correct the light: its new value, a note, and the settings to apply if the camera can do it. */
export interface LightWay {
  readonly word: string;
  readonly figure: string;
  readonly note: string;
  readonly isWarning?: boolean;
  readonly take: Partial<ShotExposure> | null;
}

/**
 * Ways to correct the light, one by one.
 *
 * @param angle - shutter angle of the production; `bases` are the base ISOs of the camera
 */
export function lightWays(
  plan: ShotPlan,
  ways: ReturnType<typeof waysToBrighten>,
  { isTooDark, angle, bases }: { readonly isTooDark: boolean; readonly angle: number; readonly bases: readonly number[] },
): LightWay[] {
  const iso = nearestIso(ways.iso);
  const leaves = ways.shutterAngleDeg !== null && Math.abs(ways.shutterAngleDeg - angle) > 0.5;
  return [
    {
      word: isTooDark ? 'more sensitive' : 'less sensitive',
      figure: `ISO ${iso}`,
      note: bases.length > 0 ? `base ${bases.join(' and ')}` : '',
      take: inLimits(iso, PLAN_LIMITS.iso) ? { iso } : null,
    },
    {
      word: isTooDark ? 'more light' : 'less light',
      figure: `${ways.lampFactor < 1 ? ways.lampFactor.toFixed(2) : ways.lampFactor.toFixed(1)} × the lamps`,
      note: '',
      take: null,
    },
    ways.ndStops === null
      ? { word: 'filters', figure: 'ND in place is not enough', note: '', take: null }
      : {
          word: isTooDark ? 'weaker filters' : 'stronger filters',
          figure:
            ways.ndStops < 0.05
              ? 'all ND out'
              : `ND ${ways.ndStops.toFixed(1)} stops, density ${ndDensityOf(ways.ndStops).toFixed(1)}`,
          note: '',
          take: { ndStops: Number(ways.ndStops.toFixed(2)) },
        },
    ways.shutterAngleDeg === null
      ? { word: 'longer exposure', figure: 'more than a whole turn of the shutter', note: '', take: null }
      : {
          word: isTooDark ? 'longer exposure' : 'shorter exposure',
          figure: `shutter ${ways.shutterAngleDeg.toFixed(1)}°`,
          isWarning: leaves,
          note: leaves ? `differs from the production’s ${angle}°: movement looks different` : '',
          take: { shutterAngleDeg: Number(ways.shutterAngleDeg.toFixed(1)) },
        },
    {
      word: isTooDark ? 'fewer frames a second' : 'more frames a second',
      figure: ways.captureFps.toFixed(1),
      note: `played back at ${plan.deliveryFps}: ${Number((plan.deliveryFps / ways.captureFps).toFixed(2))} × speed`,
      take: null,
    },
  ];
}

function inLimits(value: number, { min, max }: { readonly min: number; readonly max: number }): boolean {
  return value >= min && value <= max;
}

import { ringOf, tStopOf } from '../kit/index.js';
import { airyDiameterMm, blurDiameterMm, brightnessChangeStops, depthOfField, type Exposure } from '../optics/index.js';
import { focusLine, pictureWidthMm, type ShotPlan, stopAt, zoneLensAt } from '../pull/index.js';
import { atStop } from './atStop.js';
import { type InDepth, inDepth } from './inDepth.js';

/** What a stop does to the picture and the light, at a time of the shot. */
export interface StopFigures {
  /** On the lens's scale, at the start of the shot */
  readonly stop: number;
  /** Brighter than metered, in stops; null until metered */
  readonly brighterStops: number | null;
  /** Of what lies behind, in percent of the picture's width */
  readonly backgroundPercent: number;
  /** Of the nearest thing in front of what is focused on; null where there is nothing */
  readonly foreground: { readonly name: string; readonly percent: number } | null;
  /** Airy disc over the circle of confusion: above 1 no setting of the ring is as sharp as is asked */
  readonly airyCircles: number;
  /** The zone, as tape distances; Infinity from the hyperfocal distance on */
  readonly nearMm: number;
  readonly farMm: number;
}

/** Nearer than this share of what is focused on something lies in front, and is not what is focused on. */
const IN_FRONT = 0.97;

/** How the shot is exposed at a stop of its lens. */
export function exposureAt({ exposure, captureFps, optics }: ShotPlan, stop: number): Exposure {
  const { iso, shutterAngleDeg, ndStops } = exposure;
  return { tStop: tStopOf(optics.lens, stop), iso, shutterAngleDeg, captureFps, ndStops };
}

/** How much brighter than metered a stop is; null until metered. */
export function brighterStops(plan: ShotPlan, stop: number): number | null {
  const { meteredStop } = plan.exposure;
  const at = exposureAt(plan, stop);
  return meteredStop === null ? null : brightnessChangeStops({ ...at, tStop: meteredStop }, at);
}

/**
 * What each stop does, at one time: where the focus line is then.
 *
 * @returns none while the line has no start
 */
export function stopFigures(plan: ShotPlan, stops: readonly number[], timeS: number): StopFigures[] {
  const ring = ringOf(plan.optics.lens);
  const behindMm = plan.wanted.background.distanceMm ?? Infinity;
  const all = inDepth(plan, timeS);
  return stops.flatMap((stop): StopFigures[] => {
    const shot = atStop(plan, stop);
    const line = focusLine(shot, ring);
    if (!line) return [];
    const lens = zoneLensAt(shot.optics, timeS);
    const focusDistanceMm = ring.distanceAt(line.ringDegAt(timeS));
    const percentOf = (distanceMm: number) =>
      (100 * blurDiameterMm({ ...lens, focusDistanceMm, subjectDistanceMm: distanceMm })) / pictureWidthMm(shot.optics);
    const zone = depthOfField({ ...lens, focusDistanceMm });
    const nearest = all.find(
      (one): one is InDepth & { distanceMm: number } => (one.distanceMm ?? Infinity) < focusDistanceMm * IN_FRONT,
    );
    return [
      {
        stop,
        brighterStops: brighterStops(shot, stopAt(shot.optics, timeS)),
        backgroundPercent: percentOf(behindMm),
        foreground: nearest ? { name: nearest.name, percent: percentOf(nearest.distanceMm) } : null,
        airyCircles: airyDiameterMm(lens.fNumber, zone.magnification) / lens.circleOfConfusionMm,
        nearMm: zone.nearMm,
        farMm: zone.farMm,
      },
    ];
  });
}

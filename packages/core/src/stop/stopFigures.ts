import { ringOf, tStopOf } from '../kit/index.js';
import {
  airyDiameterMm,
  blurDiameterMm,
  brightnessChangeStops,
  conjugates,
  depthOfField,
  type Exposure,
} from '../optics/index.js';
import { focusTrack } from '../track/index.js';
import { pictureWidthMm, type ShotPlan, stopAt, zoneLensAt } from '../plan/index.js';
import { withStop } from './withStop.js';
import { type ThingInDepth, thingsInDepth } from './thingsInDepth.js';

/** Effects of a stop on picture and exposure at one time of the shot. */
export interface StopFigures {
  /** As engraved, at the start of the shot */
  readonly stop: number;
  /** Exposure relative to the meter reading, in stops; null until metered */
  readonly brighterStops: number | null;
  /** Background blur in percent of the picture's width */
  readonly backgroundPercent: number;
  /** Blur of the nearest thing in front of the focus; null if there is none */
  readonly foreground: { readonly name: string; readonly percent: number } | null;
  /** Airy disc over circle of confusion: above 1, no focus setting is as sharp as required */
  readonly airyCircles: number;
  /** The zone as tape distances; far is Infinity from the hyperfocal distance on */
  readonly nearMm: number;
  readonly farMm: number;
}

/** A thing this near to the lens is beside it: it has no blur that can be told. */
const BESIDE_LENS_MM = 1;

/** A thing counts as foreground if nearer than this share of the focus distance. */
const FOREGROUND_SHARE = 0.97;

/** Exposure of the shot at a stop. */
export function exposureAt({ exposure, captureFps, optics }: ShotPlan, stop: number): Exposure {
  const { iso, shutterAngleDeg, ndStops } = exposure;
  return { tStop: tStopOf(optics.lens, stop), iso, shutterAngleDeg, captureFps, ndStops };
}

/** Exposure at a stop relative to the meter reading, in stops; null until metered. */
export function brighterStops(plan: ShotPlan, stop: number): number | null {
  const { meteredStop } = plan.exposure;
  const at = exposureAt(plan, stop);
  return meteredStop === null ? null : brightnessChangeStops({ ...at, tStop: meteredStop }, at);
}

/**
 * Effects of each stop, with the focus at the given time.
 *
 * @returns empty if the track has no start
 */
export function stopFigures(plan: ShotPlan, stops: readonly number[], timeS: number): StopFigures[] {
  const ring = ringOf(plan.optics.lens);
  const behindMm = plan.goals.background.distanceMm ?? Infinity;
  const all = thingsInDepth(plan, timeS);
  return stops.flatMap((stop): StopFigures[] => {
    const shot = withStop(plan, stop);
    const track = focusTrack(shot, ring);
    if (!track) return [];
    const lens = zoneLensAt(shot.optics, timeS);
    const focusDistanceMm = ring.distanceAt(track.ringDegAt(timeS));
    const percentOf = (distanceMm: number) =>
      (100 * blurDiameterMm({ ...lens, focusDistanceMm, subjectDistanceMm: distanceMm })) / pictureWidthMm(shot.optics);
    const zone = depthOfField({ ...lens, focusDistanceMm });
    // someone who passes the camera is beside the lens for a moment
    const atLensMm =
      conjugates(lens.focalLengthMm, focusDistanceMm, lens.principalSeparationMm).imageMm + (lens.principalSeparationMm ?? 0);
    const nearest = all.find(
      (one): one is ThingInDepth & { distanceMm: number } =>
        (one.distanceMm ?? Infinity) < focusDistanceMm * FOREGROUND_SHARE && one.distanceMm! > atLensMm + BESIDE_LENS_MM,
    );
    return [
      {
        stop,
        brighterStops: brighterStops(shot, stopAt(shot.optics, timeS)),
        backgroundPercent: percentOf(Math.max(behindMm, atLensMm + BESIDE_LENS_MM)),
        foreground: nearest ? { name: nearest.name, percent: percentOf(nearest.distanceMm) } : null,
        airyCircles: airyDiameterMm(lens.fNumber, zone.magnification) / lens.circleOfConfusionMm,
        nearMm: zone.nearMm,
        farMm: zone.farMm,
      },
    ];
  });
}

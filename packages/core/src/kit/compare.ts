import { blurBetween, conjugates, depthOfField, type DepthOfField, fieldAt, type ZoneLens } from '../optics/index.js';
import { type Camera, circleMm, pictureSize, type Sharpness } from './camera.js';
import { fNumberOf, type Lens, ringOf } from './lens.js';
import { withinReach } from './lensRing.js';

/** A camera with a lens at one stop, as the zone calculator compares them. */
export interface LensSetup {
  readonly camera: Camera;
  readonly lens: Lens;
  readonly focalLengthMm: number;
  /** As engraved on the lens: T-stop or f-number */
  readonly stop: number;
  readonly sharpness: Sharpness;
  /** How much larger the edit shows the picture, in percent; 0 if absent */
  readonly enlargedPercent?: number;
}

/** What is held equal in a comparison. The result depends on it. */
export const HELD_EQUAL = ['distance', 'framing'] as const;
export type HeldEqual = (typeof HELD_EQUAL)[number];

export interface ComparedSetup {
  /** Tape distance at which this set-up must stand */
  readonly distanceMm: number;
  /** Null if it can't focus there */
  readonly at: {
    readonly zone: DepthOfField;
    readonly fieldWidthMm: number;
    readonly fieldHeightMm: number;
    /** Blur diameter of a point in the background, in percent of the picture's width */
    readonly backgroundPercent: number;
    /** How far the ring may turn before the subject leaves the zone */
    readonly windowDeg: number;
  } | null;
  /** Nearest focus distance */
  readonly closeFocusMm: number;
}

/** Optics of a set-up, as `depthOfField` takes them. */
export function zoneLensOf({ camera, lens, focalLengthMm, stop, sharpness, enlargedPercent }: LensSetup): ZoneLens {
  return {
    focalLengthMm,
    fNumber: fNumberOf(lens, stop),
    circleOfConfusionMm: circleMm(camera, sharpness, enlargedPercent),
    principalSeparationMm: lens.principalSeparationMm,
  };
}

/** Width and height of the picture at a focused tape distance, unsqueezed. */
export function fieldOf({ camera, lens, focalLengthMm }: LensSetup, distanceMm: number): { widthMm: number; heightMm: number } {
  const { objectMm } = conjugates(focalLengthMm, distanceMm, lens.principalSeparationMm);
  const { widthMm, heightMm } = fieldAt(pictureSize(camera), focalLengthMm / (objectMm - focalLengthMm));
  return { widthMm: widthMm * lens.squeeze, heightMm };
}

/**
 * Tape distance at which the picture has a given width at the focused plane.
 *
 * @param widthMm - > 0, unsqueezed
 */
export function distanceForWidth({ camera, lens, focalLengthMm: f }: LensSetup, widthMm: number): number {
  const magnification = (pictureSize(camera).sensorWidthMm * lens.squeeze) / widthMm;
  return f * (1 + 1 / magnification) + f * (1 + magnification) + lens.principalSeparationMm;
}

/**
 * Compares set-ups.
 *
 * @param setups - the first one is the reference
 * @param options - `framing` moves every other set-up to where its picture is as wide as the reference's. The background keeps
 * its distance to the subject.
 * @returns one result for each set-up, in order
 */
export function compareSetups(
  setups: readonly LensSetup[],
  options: { readonly held: HeldEqual; readonly distanceMm: number; readonly backgroundBehindMm: number },
): ComparedSetup[] {
  const { held, distanceMm, backgroundBehindMm } = options;
  const first = setups[0];
  const canMeasure = first !== undefined && distanceMm >= lifeSizeMm(first);
  return setups.map((setup) => {
    const ring = ringOf(setup.lens);
    const standsMm =
      held === 'distance' || setup === first || !canMeasure
        ? distanceMm
        : distanceForWidth(setup, fieldOf(first, distanceMm).widthMm);
    const isReached = standsMm >= ring.closeFocusMm * (1 - 1e-9) && standsMm <= ring.farthestMm && standsMm >= lifeSizeMm(setup);
    if (!isReached) return { distanceMm: standsMm, at: null, closeFocusMm: ring.closeFocusMm };
    const lens = zoneLensOf(setup);
    const { objectMm, imageMm } = conjugates(lens.focalLengthMm, standsMm, lens.principalSeparationMm);
    const zone = depthOfField({ ...lens, focusDistanceMm: standsMm });
    const behindMm = standsMm + backgroundBehindMm - (lens.principalSeparationMm ?? 0) - imageMm;
    const blurMm = blurBetween(lens.focalLengthMm, lens.fNumber, objectMm, behindMm);
    const field = fieldOf(setup, standsMm);
    return {
      distanceMm: standsMm,
      closeFocusMm: ring.closeFocusMm,
      at: {
        zone,
        fieldWidthMm: field.widthMm,
        fieldHeightMm: field.heightMm,
        backgroundPercent: (blurMm / pictureSize(setup.camera).sensorWidthMm) * 100,
        windowDeg: Math.abs(ring.angleAt(withinReach(ring, zone.nearMm)) - ring.angleAt(withinReach(ring, zone.farMm))),
      },
    };
  });
}

function lifeSizeMm({ lens, focalLengthMm }: LensSetup): number {
  return 4 * focalLengthMm + lens.principalSeparationMm;
}

import { blurBetween, conjugates, type DepthOfField, depthOfField, fieldAt, type ZoneLens } from '../optics/index.js';
import { type Camera, circleMm, pictureSize, type Sharpness } from './camera.js';
import { fNumberOf, type Lens, ringOf } from './lens.js';
import { withinReach } from './lensRing.js';

/** A camera with a lens at a stop: what the zone bench holds against others. */
export interface BenchSetup {
  readonly camera: Camera;
  readonly lens: Lens;
  readonly focalLengthMm: number;
  /** On the lens's scale */
  readonly stop: number;
  readonly sharpness: Sharpness;
}

/** What is held equal when set-ups are compared. The answer depends on it. */
export const HELD_EQUAL = ['distance', 'framing'] as const;
export type HeldEqual = (typeof HELD_EQUAL)[number];

export interface ComparedSetup {
  /** Where this set-up has to stand, as a tape distance */
  readonly distanceMm: number;
  /** Null when it can't focus there */
  readonly at: {
    readonly zone: DepthOfField;
    readonly fieldWidthMm: number;
    readonly fieldHeightMm: number;
    /** Diameter of the blur of a point behind the subject, in percent of the picture's width */
    readonly backgroundPercent: number;
    /** How far the ring may turn with the subject still in the zone */
    readonly windowDeg: number;
  } | null;
  /** Nearest it focuses */
  readonly closeFocusMm: number;
}

/** The zone lens of a set-up. */
export function zoneLensOf({ camera, lens, focalLengthMm, stop, sharpness }: BenchSetup): ZoneLens {
  return {
    focalLengthMm,
    fNumber: fNumberOf(lens, stop),
    circleOfConfusionMm: circleMm(camera, sharpness),
    principalSeparationMm: lens.principalSeparationMm,
  };
}

/** What the picture takes in at a focused tape distance, unsqueezed. */
export function fieldOf({ camera, lens, focalLengthMm }: BenchSetup, distanceMm: number): { widthMm: number; heightMm: number } {
  const { objectMm } = conjugates(focalLengthMm, distanceMm, lens.principalSeparationMm);
  const { widthMm, heightMm } = fieldAt(pictureSize(camera), focalLengthMm / (objectMm - focalLengthMm));
  return { widthMm: widthMm * lens.squeeze, heightMm };
}

/**
 * The tape distance from which the picture takes in so much at the focused plane.
 *
 * @param widthMm - > 0, unsqueezed
 */
export function distanceForWidth({ camera, lens, focalLengthMm: f }: BenchSetup, widthMm: number): number {
  const magnification = (pictureSize(camera).sensorWidthMm * lens.squeeze) / widthMm;
  return f * (1 + 1 / magnification) + f * (1 + magnification) + lens.principalSeparationMm;
}

/**
 * Holds set-ups against each other.
 *
 * @param setups - the first one gives the measure
 * @param options - `framing` moves every other set-up to where its picture is as wide as the first one's; the background stays where it is behind the subject
 * @returns one for each set-up, in order
 */
export function compareSetups(
  setups: readonly BenchSetup[],
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

function lifeSizeMm({ lens, focalLengthMm }: BenchSetup): number {
  return 4 * focalLengthMm + lens.principalSeparationMm;
}

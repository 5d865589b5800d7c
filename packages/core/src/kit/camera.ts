import { circleOfConfusionMm, type SensorSize } from '../optics/index.js';
import type { Format } from './formats.js';

/** A camera as a shot needs it: what its recording mode takes of the sensor, and what steadying then cuts away. */
export interface Camera extends SensorSize {
  readonly name: string;
  /** The recording mode by name; empty when there is but one */
  readonly mode: string;
  /** Recorded photosites across the width, before steadying: a whole number */
  readonly photositesWide: number;
  /** Share of width and of height that digital steadying cuts away, in percent */
  readonly steadyingCropPercent: number;
}

/** How sharp is sharp; with a camera it makes a `SharpnessStandard`. */
export type Sharpness =
  | { readonly kind: 'diagonal'; readonly divisor: number }
  | { readonly kind: 'photosite'; readonly count: number }
  | { readonly kind: 'viewer'; readonly viewingDistancePictureHeights: number };

/** The part of the sensor that the viewer sees: the mode's, less what steadying cuts away. */
export function pictureSize(camera: Camera): SensorSize {
  const share = 1 - camera.steadyingCropPercent / 100;
  return { sensorWidthMm: camera.sensorWidthMm * share, sensorHeightMm: camera.sensorHeightMm * share };
}

/**
 * The largest blur that passes for sharp on this camera, in millimetres on the sensor. A crop is enlarged more for the same picture, so the circle
 * shrinks with it; photosites keep their size.
 */
export function circleMm(camera: Camera, sharpness: Sharpness): number {
  const { sensorWidthMm, sensorHeightMm } = pictureSize(camera);
  switch (sharpness.kind) {
    case 'diagonal':
      return circleOfConfusionMm({ kind: 'diagonal', sensorWidthMm, sensorHeightMm, divisor: sharpness.divisor });
    case 'photosite':
      return circleOfConfusionMm({
        kind: 'photosite',
        sensorWidthMm: camera.sensorWidthMm,
        photositesWide: camera.photositesWide,
        count: sharpness.count,
      });
    case 'viewer': {
      const { viewingDistancePictureHeights } = sharpness;
      return circleOfConfusionMm({ kind: 'viewer', sensorHeightMm, viewingDistancePictureHeights });
    }
  }
}

/** A camera of a generic format, without modes and steadying. */
export function cameraOf({ name, sensorWidthMm, sensorHeightMm, photositesWide }: Format): Camera {
  return { name, mode: '', sensorWidthMm, sensorHeightMm, photositesWide, steadyingCropPercent: 0 };
}

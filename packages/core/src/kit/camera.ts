import { circleOfConfusionMm, type SensorSize } from '../optics/index.js';
import type { Format } from './formats.js';

/** A camera as a shot stores it: the sensor area of the recording mode, less the steadying crop. */
export interface Camera extends SensorSize {
  readonly name: string;
  /** Name of the recording mode; empty if there is only one */
  readonly mode: string;
  /** Photosites across the recorded width before steadying; a whole number */
  readonly photositesWide: number;
  /** Share of width and height that digital steadying crops, in percent */
  readonly steadyingCropPercent: number;
  /** Highest frame rate of the recording mode; null if unknown */
  readonly fastestFps: number | null;
  /** Frame rates that the camera offers in any mode, increasing; empty if unknown */
  readonly frameRates: readonly number[];
  /** Width of the autofocus area in percent of the picture's width; null if unknown */
  readonly autofocusAreaPercent: number | null;
  /** The owner's tests in this mode: whether autofocus keeps a walking person sharp while rolling */
  readonly autofocusRolling: TestAnswer;
}

/** Answer of a test that somebody made, or nobody yet. */
export const TEST_ANSWERS = ['untested', 'yes', 'no'] as const;
export type TestAnswer = (typeof TEST_ANSWERS)[number];

/** How the circle of confusion is chosen. With a camera it makes a `SharpnessStandard`. */
export type Sharpness =
  | { readonly kind: 'diagonal'; readonly divisor: number }
  | { readonly kind: 'photosite'; readonly count: number }
  | { readonly kind: 'viewer'; readonly viewingDistancePictureHeights: number };

/** Sensor area that the viewer sees: the recording mode's area less the steadying crop. */
export function pictureSize(camera: Camera): SensorSize {
  const share = 1 - camera.steadyingCropPercent / 100;
  return { sensorWidthMm: camera.sensorWidthMm * share, sensorHeightMm: camera.sensorHeightMm * share };
}

/**
 * Circle of confusion on this camera in mm. A cropped picture is enlarged more, so its circle is smaller; photosites keep their
 * size.
 *
 * @param enlargedPercent - how much larger the edit shows the picture: for a viewer that is a crop like any other
 */
export function circleMm(camera: Camera, sharpness: Sharpness, enlargedPercent = 0): number {
  const shown = 1 + enlargedPercent / 100;
  const { sensorWidthMm: widthMm, sensorHeightMm: heightMm } = pictureSize(camera);
  const [sensorWidthMm, sensorHeightMm] = [widthMm / shown, heightMm / shown];
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

/** What nobody has said of a camera. */
export const UNKNOWN_CAMERA = {
  fastestFps: null,
  frameRates: [],
  autofocusAreaPercent: null,
  autofocusRolling: 'untested',
} as const satisfies Partial<Camera>;

/** A camera of a generic format, without recording modes and without steadying. */
export function cameraOf({ name, sensorWidthMm, sensorHeightMm, photositesWide }: Format): Camera {
  return { name, mode: '', sensorWidthMm, sensorHeightMm, photositesWide, steadyingCropPercent: 0, ...UNKNOWN_CAMERA };
}

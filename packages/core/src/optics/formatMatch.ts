import { assertInRange } from '../errors.js';

/** Width and height of the recorded sensor area in mm, > 0. */
export interface SensorSize {
  readonly sensorWidthMm: number;
  readonly sensorHeightMm: number;
}

/**
 * Focal length and f-number that give the same picture (framing and blur, from the same place) on another format.
 *
 * @returns `ratio` of the diagonals, and both figures multiplied by it
 * @example matchFormat({ focalLengthMm: 50, fNumber: 2.8 }, { sensorWidthMm: 24, sensorHeightMm: 18 }, { sensorWidthMm: 36,
 * sensorHeightMm: 27 }) is 75 mm at f/4.2
 */
export function matchFormat(lens: { focalLengthMm: number; fNumber: number }, from: SensorSize, to: SensorSize) {
  assertInRange('focalLengthMm', lens.focalLengthMm, { above: 0 });
  assertInRange('fNumber', lens.fNumber, { above: 0 });
  const ratio = diagonalMm(to) / diagonalMm(from);
  return { ratio, focalLengthMm: lens.focalLengthMm * ratio, fNumber: lens.fNumber * ratio };
}

/** Diagonal of the recorded sensor area. */
export function diagonalMm({ sensorWidthMm, sensorHeightMm }: SensorSize): number {
  assertInRange('sensorWidthMm', sensorWidthMm, { above: 0 });
  assertInRange('sensorHeightMm', sensorHeightMm, { above: 0 });
  return Math.hypot(sensorWidthMm, sensorHeightMm);
}

/**
 * Width and height of the picture at the focused plane.
 *
 * @returns mm at the subject; Infinity at infinity
 * @example a 24 mm wide sensor at magnification 0.01 covers 2400 mm
 */
export function fieldAt(sensor: SensorSize, magnification: number): { widthMm: number; heightMm: number } {
  assertInRange('magnification', magnification, { min: 0 });
  return { widthMm: sensor.sensorWidthMm / magnification, heightMm: sensor.sensorHeightMm / magnification };
}

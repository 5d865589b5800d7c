import { CoreError } from '../errors.js';

/** A point of the set in mm: x and y on the floor, z up. */
export type Vec3 = readonly [x: number, y: number, z: number];

/**
 * Tape distance and depth of a subject that may stand off the lens axis.
 *
 * @param options - `camera` lies in the image plane; `aimAt` is a point on the lens axis, not the camera's own place
 * @returns `tapeMm`, the straight line; `depthMm`, the distance along the axis (negative behind the camera). The lens is set to
 * the depth, because the plane of focus is square to the axis.
 * @throws {CoreError} `no-direction`, `not-a-number`
 * @example camera [0,0,0], aimed at [1000,0,0], subject [3000,4000,0]: tape 5000, depth 3000
 */
export function blockingDistance(options: { camera: Vec3; aimAt: Vec3; subject: Vec3 }): { tapeMm: number; depthMm: number } {
  for (const [path, point] of Object.entries(options)) {
    if (!point.every(Number.isFinite)) {
      throw new CoreError({ code: 'not-a-number', path, values: { given: `[${point.join(', ')}]` } });
    }
  }
  const { camera, aimAt, subject } = options;
  const axis = difference(aimAt, camera);
  const axisLengthMm = Math.hypot(...axis);
  if (axisLengthMm === 0) {
    throw new CoreError({
      code: 'no-direction',
      path: 'aimAt',
      values: {},
    });
  }
  const line = difference(subject, camera);
  const along = line[0] * axis[0] + line[1] * axis[1] + line[2] * axis[2];
  return { tapeMm: Math.hypot(...line), depthMm: along / axisLengthMm };
}

function difference(a: Vec3, b: Vec3): Vec3 {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

import type { ShotPlan } from './shotPlan.js';

/** Whether the camera moves during the shot: along the floor, or only up or down, as on a crane. */
export function isCameraMoving({ floor }: Pick<ShotPlan, 'floor'>): boolean {
  if (floor === null) return false;
  const heightsMm = floor.camera.map(({ heightMm }) => heightMm ?? floor.lensHeightMm);
  return isCameraTravelling({ floor }) || heightsMm.some((heightMm) => heightMm !== heightsMm[0]);
}

/** Whether the camera moves along the floor during the shot. */
export function isCameraTravelling({ floor }: Pick<ShotPlan, 'floor'>): boolean {
  const [first, ...others] = floor?.camera ?? [];
  return first !== undefined && others.some((key) => key.xMm !== first.xMm || key.yMm !== first.yMm);
}

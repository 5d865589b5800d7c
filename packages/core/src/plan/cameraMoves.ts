import type { ShotPlan } from './shotPlan.js';

/** Whether the camera moves on the floor plan during the shot. */
export function isCameraMoving({ floor }: Pick<ShotPlan, 'floor'>): boolean {
  const [first, ...others] = floor?.camera ?? [];
  return first !== undefined && others.some((key) => key.xMm !== first.xMm || key.yMm !== first.yMm);
}

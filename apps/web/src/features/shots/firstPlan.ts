import type { KitItemView } from '@still-heron/contract';
import { chooseCamera, chooseLens, newPlan, type ShotPlan } from '@still-heron/core';

/** Plan of the first shot of a production: with the camera and the lens of Kit, if there is only one of each. */
export function firstPlan(cameras: readonly KitItemView<'cameras'>[], lenses: readonly KitItemView<'lenses'>[]): ShotPlan {
  const [camera, otherCamera] = cameras;
  const [lens, otherLens] = lenses;
  const mode = camera?.item.modes[0];
  const withCamera =
    camera && mode && !otherCamera
      ? chooseCamera(newPlan(), { id: camera.id, modeId: mode.id, steadyingId: null }, camera.item)
      : newPlan();
  return lens && !otherLens ? chooseLens(withCamera, lens.id, lens.item.lens) : withCamera;
}

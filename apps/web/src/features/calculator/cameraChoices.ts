import { type Camera, cameraInMode, cameraOf, FORMATS, type KitCamera } from '@still-heron/core';

/** A camera to choose: a recording mode of one in the kit, or a standard format. */
export interface CameraChoice {
  readonly value: string;
  readonly word: string;
  readonly camera: Camera;
}

/** Recording modes of the cameras in the kit. */
export function modeChoices(cameras: readonly { readonly id: string; readonly item: KitCamera }[]): CameraChoice[] {
  return cameras.flatMap(({ id, item }) =>
    item.modes.map((mode) => ({
      value: `${id}/${mode.id}`,
      word: `${item.name}, ${mode.name}`,
      camera: cameraInMode(item, mode.id, null),
    })),
  );
}

/** Standard formats, for a camera that is not in the kit. */
export function formatChoices(): CameraChoice[] {
  return FORMATS.map((format) => ({ value: format.id, word: format.name, camera: cameraOf(format) }));
}

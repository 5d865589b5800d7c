import type { KitCamera } from '@still-heron/core';

export interface CameraFiguresProps {
  readonly camera: KitCamera;
  readonly onChange: (name: string, change: (camera: KitCamera) => KitCamera, gesture?: string) => void;
}

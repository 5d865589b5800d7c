import type { FloorPicture } from '@still-heron/core';
import { pictureAddress } from '../../shared/api/pictures';
import type { FloorLayout } from './floorLayout';
import styles from './PictureLayer.module.css';

interface Props {
  readonly picture: FloorPicture | null;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
}

/** Picture of the set, dimmed, below everything else. */
export function PictureLayer({ picture, layout, pxPerMm }: Props) {
  if (!picture) return null;
  const [x, y] = layout.toPx(picture);
  const [width, height] = [picture.widthMm * pxPerMm, picture.heightMm * pxPerMm];
  return (
    <image
      href={pictureAddress(picture.pictureId)}
      x={-width / 2}
      y={-height / 2}
      width={width}
      height={height}
      preserveAspectRatio="none"
      transform={`translate(${x},${y}) rotate(${-picture.turnedDeg})`}
      className={styles.floorPicture}
      data-testid="floor-picture"
    />
  );
}

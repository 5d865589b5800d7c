import type { Landmark, UnitSystem } from '@still-heron/core';
import clsx from 'clsx';
import type { FloorLayout } from './floorLayout';
import type { Guide } from './snap';
import { useFloorDrag } from './useFloorDrag';
import styles from './LandmarkShape.module.css';

interface Props {
  readonly landmark: Landmark;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
  readonly isOutOfReach: boolean;
  readonly onGuides: (guides: readonly Guide[]) => void;
}

/** A landmark at its real size. */
export function LandmarkShape({ landmark, layout, pxPerMm, units, isOutOfReach, onGuides }: Props) {
  const { handlers, isHeld } = useFloorDrag({
    item: { kind: 'landmark', id: landmark.id },
    name: `move ${landmark.name}`,
    pxPerMm,
    units,
    onGuides,
  });
  const [x, y] = layout.toPx(landmark);
  const [width, depth] = [landmark.widthMm * pxPerMm, landmark.depthMm * pxPerMm];
  // keep the name upright
  const isUpsideDown = ((landmark.turnedDeg % 360) + 360 + 90) % 360 > 180;
  return (
    <g
      {...handlers}
      transform={`translate(${x},${y}) rotate(${-landmark.turnedDeg})`}
      className={clsx(styles.floorLandmark, isHeld && styles.isHeld)}
      style={{ pointerEvents: isOutOfReach ? 'none' : undefined }}
      role="button"
      tabIndex={0}
      aria-label={landmark.name}
      aria-pressed={isHeld}
    >
      <Outline shape={landmark.shape} width={width} depth={depth} />
      <text
        y={Math.max(depth, 8) / 2 + 16}
        textAnchor="middle"
        transform={isUpsideDown ? `rotate(180) translate(0,${-Math.max(depth, 8) - 24})` : undefined}
      >
        {landmark.name}
      </text>
    </g>
  );
}

function Outline({ shape, width, depth }: { shape: Landmark['shape']; width: number; depth: number }) {
  const height = Math.max(depth, 5);
  const body = <rect x={-width / 2} y={-height / 2} width={width} height={height} className={styles[`is-${shape}`]} />;
  switch (shape) {
    case 'post':
      return <circle r={Math.max(width / 2, 4)} />;
    case 'box':
    case 'wall':
      return body;
    case 'door':
      // closed, with its swing
      return (
        <>
          {body}
          <path d={`M${-width / 2},0V${-width}A${width},${width} 0 0 1 ${width / 2},0`} className={styles.floorSwing} />
        </>
      );
    case 'track': {
      const count = Math.max(2, Math.round(width / Math.max(height, 12)));
      const ties = Array.from({ length: count }, (_, k) => ((k + 0.5) / count - 0.5) * width);
      return (
        <>
          <rect x={-width / 2} y={-height / 2} width={width} height={height} fill="transparent" className={styles.isTrack} />
          <path
            className={styles.floorRails}
            d={`M${-width / 2},${-height / 2}h${width}M${-width / 2},${height / 2}h${width}${ties
              .map((tie) => `M${tie},${-height / 2 - 2}v${height + 4}`)
              .join('')}`}
          />
        </>
      );
    }
  }
}

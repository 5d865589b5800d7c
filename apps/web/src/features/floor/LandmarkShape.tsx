import type { Landmark, Place, UnitSystem } from '@still-heron/core';
import { useFloorMoves } from './FloorHandle';
import type { FloorLayout } from './floorLayout';

interface Props {
  readonly landmark: Landmark;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
  readonly isHeld: boolean;
  readonly onSelect: () => void;
  readonly onMove: (place: Place, gesture: string) => void;
  readonly onGiveUp: (gesture: string) => void;
}

/** A post, a box or a wall, as large as it is. */
export function LandmarkShape({ landmark, layout, pxPerMm, isHeld, ...handlers }: Props) {
  const moves = useFloorMoves({ place: landmark, pxPerMm, ...handlers });
  const [x, y] = layout.toPx(landmark);
  const [width, depth] = [landmark.widthMm * pxPerMm, landmark.depthMm * pxPerMm];
  return (
    <g
      {...moves}
      transform={`translate(${x},${y}) rotate(${-landmark.turnedDeg})`}
      className="floor-landmark"
      style={{ pointerEvents: isHeld ? 'none' : undefined }}
      role="button"
      tabIndex={0}
      aria-label={landmark.name}
    >
      {landmark.shape === 'post' ? (
        <circle r={Math.max(width / 2, 4)} />
      ) : (
        <rect
          x={-width / 2}
          y={-Math.max(depth, 5) / 2}
          width={width}
          height={Math.max(depth, 5)}
          className={landmark.shape === 'wall' ? 'is-wall' : undefined}
        />
      )}
      <text y={Math.max(depth, 8) / 2 + 16} textAnchor="middle">
        {landmark.name}
      </text>
    </g>
  );
}

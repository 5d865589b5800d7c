import type { FloorLayout } from './floorLayout';
import styles from './FloorLens.module.css';

/** The camera at the playhead, along its axis. The red line is the image plane, where the tape starts. */
export function FloorLens({ layout: { camera, cameraTurnDeg } }: { readonly layout: FloorLayout }) {
  return (
    <g
      transform={`translate(${camera[0]},${camera[1]}) rotate(${cameraTurnDeg})`}
      className={styles.floorCamera}
      aria-hidden="true"
    >
      <rect x={-26} y={-13} width={28} height={26} rx={3} />
      <rect x={2} y={-7} width={12} height={14} rx={1} />
      <line y1={-19} y2={19} />
    </g>
  );
}

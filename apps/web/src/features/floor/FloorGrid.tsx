import { MM_PER_FOOT, type UnitSystem } from '@still-heron/core';
import type { Size } from '../../shared/useSize';
import type { FloorLayout } from './floorLayout';
import styles from './FloorGrid.module.css';
import textStyles from '../../ui/text.module.css';

/** Grid of round distances over the visible floor. */
export function Grid({ layout, size }: { readonly layout: FloorLayout; readonly size: Size }) {
  const { gridMm, toPx, toPlace } = layout;
  const low = toPlace([0, size.height]);
  const high = toPlace([size.width, 0]);
  const steps = (from: number, to: number) =>
    Array.from(
      { length: Math.max(0, Math.floor(to / gridMm) - Math.ceil(from / gridMm) + 1) },
      (_, k) => (Math.ceil(from / gridMm) + k) * gridMm,
    );
  return (
    <g className={styles.floorGrid} aria-hidden="true">
      {steps(low.xMm, high.xMm).map((xMm) => {
        const [x] = toPx({ xMm, yMm: 0 });
        return <line key={xMm} x1={x} x2={x} y1={0} y2={size.height} />;
      })}
      {steps(low.yMm, high.yMm).map((yMm) => {
        const [, y] = toPx({ xMm: 0, yMm });
        return <line key={yMm} x1={0} x2={size.width} y1={y} y2={y} />;
      })}
    </g>
  );
}

interface ScaleBarProps {
  readonly layout: FloorLayout;
  readonly size: Size;
  readonly units: UnitSystem;
  readonly pxPerMm: number;
}

/** Length of one grid step. */
export function ScaleBar({ layout: { gridMm }, size, units, pxPerMm }: ScaleBarProps) {
  const mm = units === 'metric' ? gridMm : Math.max(1, Math.round(gridMm / MM_PER_FOOT)) * MM_PER_FOOT;
  const word = units === 'metric' ? `${mm / 1000} m` : `${Math.round(mm / MM_PER_FOOT)}'`;
  const length = mm * pxPerMm;
  return (
    <g transform={`translate(20,${size.height - 16})`} className={styles.floorScale} aria-hidden="true" data-testid="scale-bar">
      <line x2={length} />
      <text x={length + 8} y={5} className={textStyles.chartLabel}>
        {word}
      </text>
    </g>
  );
}

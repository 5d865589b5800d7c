import type { UnitSystem } from '@still-heron/core';
import type { PullChartLayout } from './pullChartLayout';
import styles from './PullChartAxes.module.css';

/** Axes and grid. */
export function PullChartAxes({ layout, units }: { readonly layout: PullChartLayout; readonly units: UnitSystem }) {
  const { left, right, top, bottom, distances, times } = layout;
  return (
    <g>
      {distances.map(({ at, label }) => (
        <g key={label}>
          <line x1={left} x2={right} y1={at} y2={at} className={styles.gridLine} />
          <text x={left - 10} y={at + 5} textAnchor="end" className={styles.axisLabel}>
            {label}
          </text>
        </g>
      ))}
      {times.map(({ at, label }) => (
        <g key={label}>
          <line x1={at} x2={at} y1={bottom} y2={bottom + 6} className={styles.gridLine} />
          <text x={at} y={bottom + 23} textAnchor="middle" className={styles.axisLabel}>
            {label}
          </text>
        </g>
      ))}
      <text x={left - 10} y={top - 8} textAnchor="end" className={styles.axisLabel}>
        {units === 'metric' ? 'm' : 'ft'}
      </text>
      <text x={right + 14} y={bottom + 23} className={styles.axisLabel}>
        s
      </text>
    </g>
  );
}

import type { ShotPlan, UnitSystem } from '@still-heron/core';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { PullChartLayout } from './pullChartLayout';
import styles from './Handle.module.css';

/** Common properties of everything that can be dragged on the chart. */
export interface HandleProps {
  readonly layout: PullChartLayout;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  /** Freezes the axis during a drag */
  readonly hold: { readonly start: () => void; readonly end: () => void };
  readonly chart: ReadChart;
}

/** Reads what the chart shows now. For handlers of parts that are not rendered with every change; the function stays the same. */
export type ReadChart = () => Pick<HandleProps, 'layout' | 'plan'>;

/** The plan as it is now, and pixels of a second. */
export function scaleOf(chart: ReadChart): { readonly plan: ShotPlan; readonly pxPerS: number } {
  const { plan, layout } = chart();
  return { plan, pxPerS: layout.x(1) - layout.x(0) };
}

interface Props {
  readonly x: number;
  readonly y: number;
  readonly label: string;
  readonly value: number;
  readonly text: string;
  readonly testId: string;
  readonly onPointerDown: (event: PointerEvent) => void;
  readonly onFocus: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

/** A round handle on the track: a slider for screen readers, moved by drag or arrow keys. */
export function Handle({ x, y, label, value, text, testId, ...events }: Props) {
  return (
    <g
      transform={`translate(${x},${y})`}
      className={styles.handle}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Number(value.toFixed(3))}
      aria-valuetext={text}
      data-testid={testId}
      {...events}
    >
      <circle r={15} className={styles.grab} />
      <circle r={5.5} className={styles.handleDot} />
    </g>
  );
}

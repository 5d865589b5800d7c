import { formatTime } from '@still-heron/core';
import { useRef } from 'react';
import { useDrag } from '../../shared/gestures/useDrag';
import type { TimeView } from '../shot/sessionSlice';
import type { PullChartLayout } from './pullChartLayout';
import styles from './TimeStrip.module.css';

interface Props {
  readonly layout: PullChartLayout;
  readonly view: TimeView;
  readonly durationS: number;
  readonly onPan: (byS: number) => void;
}

/** Visible time span within the whole shot, below the time axis; draggable. */
export function TimeStrip({ layout: { left, right, bottom }, view, durationS, onPan }: Props) {
  const pxPerS = (right - left) / durationS;
  const draggedPx = useRef(0);
  const drag = useDrag({
    onStart: () => (draggedPx.current = 0),
    onDrag: ({ dx }) => {
      onPan((dx - draggedPx.current) / pxPerS);
      draggedPx.current = dx;
    },
  });
  return (
    <g>
      <rect x={left} y={bottom + 1} width={right - left} height={4} className={styles.timeStripWhole} />
      <rect
        {...drag}
        x={left + view.fromS * pxPerS}
        y={bottom - 1}
        width={(view.toS - view.fromS) * pxPerS}
        height={8}
        rx={3}
        className={styles.timeStripShown}
        role="slider"
        tabIndex={0}
        aria-label="Part of the shot that is shown"
        aria-valuenow={Number(view.fromS.toFixed(2))}
        aria-valuetext={`${formatTime(view.fromS)} to ${formatTime(view.toS)}`}
        onKeyDown={({ key }) => {
          const across = { ArrowLeft: -1, ArrowRight: 1 }[key];
          if (across) onPan((across * (view.toS - view.fromS)) / 8);
        }}
      />
    </g>
  );
}

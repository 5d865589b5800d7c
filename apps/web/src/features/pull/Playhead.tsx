import {
  formatDistance,
  formatDistanceFigure,
  formatTime,
  frameAtOrAfter,
  type CompleteVerdict,
  isInAutomaticPart,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { useAppSelector } from '../../shared/store/hooks';
import type { PullChartLayout } from './pullChartLayout';
import styles from './Playhead.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly layout: PullChartLayout;
  readonly verdict: CompleteVerdict | null;
  readonly units: UnitSystem;
}

const FLAG_WIDTH = 190;

/** Playhead with the focus distance. Only this component follows the time, so that playing redraws nothing else. */
export function Playhead({ plan, layout, verdict, units }: Props) {
  const timeS = useAppSelector((state) => state.session.timeS);
  const { top, right, left, lanes, bottom } = layout;
  const x = layout.x(timeS);
  const end = lanes.length > 0 ? lanes[lanes.length - 1]!.y + 26 : bottom;
  const flagX = Math.min(Math.max(x - FLAG_WIDTH / 2, left), right - FLAG_WIDTH);
  // outside the visible time span
  if (x < left - 1 || x > right + 1) return null;
  return (
    <g className={styles.playhead} data-testid="playhead">
      <line x1={x} x2={x} y1={top - 4} y2={end} />
      {verdict && (
        <Flag
          x={flagX}
          frame={Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1)}
          timeS={timeS}
          verdict={verdict}
          units={units}
          isLeft={isInAutomaticPart(plan, timeS)}
        />
      )}
    </g>
  );
}

function Flag({
  x,
  frame,
  timeS,
  verdict,
  units,
  isLeft,
}: {
  readonly x: number;
  readonly frame: number;
  readonly timeS: number;
  readonly verdict: CompleteVerdict;
  readonly units: UnitSystem;
  /** To autofocus */
  readonly isLeft: boolean;
}) {
  const { focusMm, nearMm, farMm } = verdict.track;
  return (
    <g transform={`translate(${x},2)`}>
      <rect width={FLAG_WIDTH} height={38} rx={3} className={styles.flag} />
      <text x={8} y={17} className={styles.flagDistance}>
        {isLeft ? 'autofocus' : formatDistance(focusMm[frame]!, units)}
      </text>
      <text x={FLAG_WIDTH - 8} y={17} textAnchor="end" className={styles.flagTime}>
        {formatTime(timeS)}
      </text>
      {!isLeft && (
        <text x={8} y={33} className={styles.flagZone}>
          sharp {formatDistanceFigure(nearMm[frame]!, units)} – {formatDistanceFigure(farMm[frame]!, units)}
        </text>
      )}
    </g>
  );
}

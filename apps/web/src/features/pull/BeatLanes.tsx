import type { CompleteVerdict, ShotPlan } from '@still-heron/core';
import { BeatBar } from './BeatBar';
import { type PullChartLayout, LANE } from './pullChartLayout';
import styles from './BeatLanes.module.css';

interface Props {
  readonly layout: PullChartLayout;
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
}

/** Lanes of beats, one per subject. A beat is hatched where its requirement is not met. */
export function BeatLanes({ layout, plan, verdict }: Props) {
  const { lanes, left, right } = layout;
  return lanes.map(({ subjectId, subjectIndex, y, beats }) => (
    <g key={subjectId}>
      <line x1={left} x2={right} y1={y + LANE / 2} y2={y + LANE / 2} className={styles.laneLine} />
      {beats.map(({ beat, x, width }) => (
        <BeatBar
          key={beat.id}
          beat={beat}
          x={x}
          width={width}
          y={y}
          subjectIndex={subjectIndex}
          layout={layout}
          plan={plan}
          verdict={verdict}
        />
      ))}
    </g>
  ));
}

import type { PreparedRoll, ShotPlan, UnitSystem } from '@still-heron/core';
import { targetName } from '@still-heron/wording';
import { memo, useMemo } from 'react';
import { useSize } from '../../shared/useSize';
import { useVerdict } from '../shot/useVerdict';
import { trackChartLayout, type TrackChartLayout } from '../../charts/trackChartLayout';
import { subjectColour } from '../../charts/subjectColour';
import type { RingTrace } from './ringTrace';
import styles from './RollChart.module.css';
import trackStyles from '../../charts/track.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly units: UnitSystem;
  readonly planS: number;
  /** Actual ring angle; null to show the planned one */
  readonly ringDeg: number | null;
  readonly trace: RingTrace;
}

const PX_PER_S = 130;
/** Position of the "now" line as a share of the width. Upcoming time gets more room than past time. */
const NOW_AT = 0.28;

/** Chart that slides under a fixed "now" line: planned and actual ring position. */
export function RollChart({ plan, ready, units, planS, ringDeg, trace }: Props) {
  const { ref, size } = useSize();
  const judged = useVerdict();
  const verdict = judged?.plan === plan && judged.verdict.status === 'judged' ? judged.verdict : null;
  const height = size?.height ?? 260;
  const layout = useMemo(
    () => trackChartLayout(plan, ready, verdict, { height, pxPerS: PX_PER_S }),
    [plan, ready, verdict, height],
  );
  const nowX = (size?.width ?? 0) * NOW_AT;
  const y = layout.scale.yOfRing(ringDeg ?? ready.track.ringDegAt(planS));
  return (
    <div className={styles.rollChannel} ref={ref}>
      {size && (
        <svg width={size.width} height={height} role="img" aria-label="The focus track as it comes">
          <g transform={`translate(${nowX - planS * PX_PER_S} 0)`}>
            <Curves layout={layout} plan={plan} ready={ready} units={units} height={height} />
            <path
              className={styles.rollTrace}
              d={trace
                .map(([timeS, deg], k) => `${k === 0 ? 'M' : 'L'}${timeS * PX_PER_S} ${layout.scale.yOfRing(deg)}`)
                .join('')}
            />
          </g>
          <line className={styles.rollNowLine} x1={nowX} x2={nowX} y1={0} y2={height} />
          <circle className={styles.rollNowDot} cx={nowX} cy={y} r={11} />
        </svg>
      )}
    </div>
  );
}

interface CurvesProps {
  readonly layout: TrackChartLayout;
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly units: UnitSystem;
  readonly height: number;
}

/** The sliding part, drawn once. */
const Curves = memo(function Curves({ layout, plan, ready, units, height }: CurvesProps) {
  return (
    <>
      <path className={trackStyles.rollBand} d={layout.band} />
      {layout.subjects.map(({ id, subjectIndex, path }) => (
        <path key={id} className={styles.rollSubject} d={path} style={{ stroke: subjectColour(subjectIndex) }} />
      ))}
      <path className={trackStyles.rollLine} d={layout.line} />
      {ready.track.pulls.map(({ pullId, startS, to }) => (
        <g key={pullId} transform={`translate(${startS * PX_PER_S} 0)`}>
          <line className={trackStyles.rollMove} y1={8} y2={height - 26} />
          <text className={styles.rollMoveName} x={8} y={26}>
            {targetName(to.target, plan, units)}
          </text>
        </g>
      ))}
      {layout.seconds.map((second) => (
        <text key={second} className={trackStyles.rollSecond} x={second * PX_PER_S} y={height - 8}>
          {second}
        </text>
      ))}
    </>
  );
});

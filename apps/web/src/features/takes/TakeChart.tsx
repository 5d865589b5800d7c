import {
  cuesOf,
  onPlanTime,
  rollClock,
  type RollMode,
  prepareRoll,
  type ShotPlan,
  type Take,
  type TakeVerdict,
  type UnitSystem,
  unpackTrack,
} from '@still-heron/core';
import { pullTargetText } from '@still-heron/wording';
import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import clsx from 'clsx';
import { useSize } from '../../shared/useSize';
import { trackChartLayout, trackPath } from '../../charts/trackChartLayout';
import trackStyles from '../../charts/track.module.css';
import styles from './TakeChart.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: TakeVerdict;
  readonly take: Pick<Take, 'track' | 'cues' | 'focusChecks'>;
  readonly pace?: RollMode;
  readonly units: UnitSystem;
}

const HEIGHT = 200;
const STRIP = 14;

/** Plan and take overlaid: planned track with zone, actual ring, and usable spans. */
export function TakeChart({ plan, verdict, take, pace, units }: Props) {
  const { ref, size } = useSize();
  return (
    <div className={styles.takeChart} ref={ref} style={{ height: HEIGHT }}>
      {size && size.width > 0 && <Drawn plan={plan} verdict={verdict} take={take} pace={pace} units={units} width={size.width} />}
    </div>
  );
}

function Drawn({
  plan,
  verdict,
  take,
  pace,
  units,
  width,
}: Omit<Props, 'pace'> & { readonly width: number; readonly pace: RollMode | undefined }) {
  const pxPerS = width / plan.durationS;
  const layout = useMemo(() => {
    const ready = prepareRoll(plan);
    return ready && trackChartLayout(plan, ready, null, { height: HEIGHT - STRIP, pxPerS });
  }, [plan, pxPerS]);
  const track = useMemo(() => (take.track === null ? null : unpackTrack(take.track)), [take]);
  const cues = useMemo(() => (track ? cuesOf(plan, track, take.cues, pace) : take.cues), [plan, track, take, pace]);
  const path = useMemo(
    () => (layout && track ? trackPath(onPlanTime(plan, track, cues, pace), layout.scale, pxPerS) : ''),
    [layout, plan, track, cues, pace, pxPerS],
  );
  if (!layout) return null;
  const clock = rollClock(plan, cues, pace);
  const x = scaleLinear([0, plan.durationS], [0, width]);
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label="Plan and take over time">
      <path className={trackStyles.rollBand} d={layout.band} />
      {take.focusChecks.map(({ fromS, toS }) => (
        <rect
          key={fromS}
          className={styles.takeFocusCheck}
          x={x(clock.planSAt(fromS))}
          width={Math.max(1, x(clock.planSAt(toS)) - x(clock.planSAt(fromS)))}
          height={HEIGHT - STRIP}
        />
      ))}
      <path className={clsx(trackStyles.rollLine, trackStyles.isPlan)} d={layout.line} />
      <path data-testid="take-track" className={styles.takeTrack} d={path} />
      <PullLines verdict={verdict} plan={plan} x={x} units={units} />
      {layout.seconds
        .filter((second) => second % Math.ceil(40 / pxPerS) === 0)
        .map((second) => (
          <text key={second} className={trackStyles.rollSecond} x={x(second)} y={HEIGHT - STRIP - 6}>
            {second}
          </text>
        ))}
      <rect className={styles.takeUnusable} x={0} y={HEIGHT - STRIP} width={width} height={STRIP - 4} />
      {verdict.usable.map(({ fromS, toS }) => (
        <rect
          key={fromS}
          className={styles.takeUsable}
          x={x(fromS)}
          y={HEIGHT - STRIP}
          width={Math.max(1, x(toS) - x(fromS))}
          height={STRIP - 4}
        />
      ))}
    </svg>
  );
}

interface PullLinesProps {
  readonly verdict: TakeVerdict;
  readonly plan: ShotPlan;
  readonly x: (timeS: number) => number;
  readonly units: UnitSystem;
}

function PullLines({ verdict, plan, x, units }: PullLinesProps) {
  return (
    <>
      {verdict.pulls.map(({ pullId, hit }) => {
        const { startS } = plan.focusTrack.pulls.find(({ id }) => id === pullId)!;
        return (
          <g key={pullId} transform={`translate(${x(startS)} 0)`}>
            <line className={trackStyles.rollMove} y1={8} y2={HEIGHT - STRIP - 22} />
            <text className={clsx(styles.takeMove, !(hit === 'hit') && styles.isFault)} x={6} y={18}>
              {pullTargetText(pullId, plan, units)}
            </text>
          </g>
        );
      })}
    </>
  );
}

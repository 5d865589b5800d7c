import type { CompleteVerdict, ShotPlan, UnitSystem } from '@still-heron/core';
import clsx from 'clsx';
import { subjectColour } from '../../charts/subjectColour';
import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { memoByValue } from '../../shared/memoByValue';
import { type Size, useSize } from '../../shared/useSize';
import { itemSelected, playheadMoved, playStopped } from '../shot/sessionSlice';
import type { AxisDomain } from '../../charts/axisScale';
import { AutomaticParts } from './AutomaticParts';
import { BeatLanes } from './BeatLanes';
import { type PullChartLayout, pullChartLayout } from './pullChartLayout';
import { PullChartAxes } from './PullChartAxes';
import { CoursePoints } from './CoursePoints';
import { TrackStart } from './TrackStart';
import { TimeStrip } from './TimeStrip';
import { useTimeView } from './useTimeView';
import { useWheelZoom } from './useWheelZoom';
import type { ReadChart } from './Handle';
import { PullHandles } from './PullHandles';
import { MarkChips } from './MarkChips';
import { MoveWords } from './MoveWords';
import { Playhead } from './Playhead';
import styles from './PullChart.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
  readonly units: UnitSystem;
}

/**
 * Main chart: time to the right, near at the bottom. It shows subject distances, the focus track with its zone, beats and
 * pulls.
 */
export function PullChart(props: Props) {
  const { ref, size } = useSize();
  return (
    <div className={styles.channel} ref={ref} data-testid="channel">
      {size && size.width > 240 && size.height > 160 && <Channel {...props} size={size} />}
    </div>
  );
}

function Channel({ plan, verdict, units, size }: Props & { readonly size: Size }) {
  const axis = useAppSelector((state) => state.preferences.axis);
  const [held, setHeld] = useState<AxisDomain>();
  const { view, zoom, pan } = useTimeView(plan);
  const layout = useMemo(
    () => pullChartLayout({ plan, verdict, axis, units, size, view, domain: held }),
    [plan, verdict, axis, units, size, view, held],
  );
  const wheel = useWheelZoom(layout, zoom, pan);
  const chart = useReadChart(layout, plan);
  const hold = useMemo(() => ({ start: () => setHeld(chart().layout.domain), end: () => setHeld(undefined) }), [chart]);
  const handles = { layout, plan, units, hold, chart };
  const { left, right, top, bottom } = layout;
  return (
    <svg ref={wheel} width={size.width} height={size.height} role="group" aria-label="Distance and focus over time">
      <defs>
        <pattern id="soft-hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
          <rect width="2" height="8" fill="var(--error)" />
        </pattern>
        <clipPath id="plot">
          <rect x={left} y={top - 8} width={right - left} height={bottom - top + 16} />
        </clipPath>
        <clipPath id="lanes">
          <rect x={left - 8} y={0} width={right - left + 16} height={size.height} />
        </clipPath>
      </defs>
      <PullChartAxes layout={layout} units={units} />
      <g clipPath="url(#plot)">
        <PullAndSoftShades layout={layout} top={top} bottom={bottom} />
        <path d={layout.band} data-testid="zone-of-line" className={styles.zoneOfLine} />
        <AutomaticParts plan={plan} layout={layout} />
        {layout.subjects.map(({ id, path, subjectIndex }) => (
          <path
            key={id}
            d={path}
            className={clsx(styles.current, styles[`dash-${(subjectIndex + Math.floor(subjectIndex / 4)) % 4}`])}
            stroke={subjectColour(subjectIndex)}
          />
        ))}
        <path d={layout.track} className={styles.focusLine} data-testid="focus-line" />
      </g>
      {layout.subjects.map(({ id, name, labelY, subjectIndex }) => (
        <text key={id} x={left + 8} y={labelY} className={styles.subjectName} fill={subjectColour(subjectIndex)}>
          {name}
        </text>
      ))}
      <TimeGround layout={layout} durationS={plan.durationS} />
      <MarkChips {...handles} />
      <BeatLanes layout={layout} plan={plan} verdict={verdict} chart={chart} />
      <Speed layout={layout} />
      <MoveWords layout={layout} />
      {view && <TimeStrip layout={layout} view={view} durationS={plan.durationS} onPan={pan} />}
      <Playhead plan={plan} layout={layout} verdict={verdict} units={units} />
      <TrackStart {...handles} />
      <PullHandles {...handles} />
      <CoursePoints {...handles} />
    </svg>
  );
}

/** A function that stays the same and reads what the chart shows now. */
function useReadChart(layout: PullChartLayout, plan: ShotPlan): ReadChart {
  const now = useRef({ layout, plan });
  useLayoutEffect(() => {
    now.current = { layout, plan };
  });
  return useCallback(() => now.current, []);
}

function PullAndSoftShades({
  layout,
  top,
  bottom,
}: {
  readonly layout: PullChartLayout;
  readonly top: number;
  readonly bottom: number;
}) {
  return (
    <>
      {layout.pulls.map(({ id, startX, endX }) => (
        <PullShade key={id} x={startX} width={endX - startX} y={top} height={bottom - top} />
      ))}
      {layout.soft.map(({ beatId, x, width }) => (
        <rect
          key={`${beatId} ${x}`}
          x={x}
          width={width}
          y={top}
          height={bottom - top}
          className={styles.softSpan}
          fill="url(#soft-hatch)"
          data-testid="soft-span"
        />
      ))}
    </>
  );
}

const PullShade = memoByValue(function PullShade(place: {
  readonly x: number;
  readonly width: number;
  readonly y: number;
  readonly height: number;
}) {
  return <rect {...place} className={styles.moveShade} />;
});

/** Press or drag on the chart or its time axis to move the playhead. */
function TimeGround({ layout, durationS }: { readonly layout: PullChartLayout; readonly durationS: number }) {
  const dispatch = useAppDispatch();
  const { left, right, top, bottom, x } = layout;
  const put = (clientX: number, origin: number) => {
    dispatch(playStopped());
    dispatch(playheadMoved(Math.min(Math.max(x.invert(clientX - origin), 0), durationS)));
  };
  const [origin, setOrigin] = useState(0);
  const drag = useDrag({ onDrag: ({ clientX }) => put(clientX, origin) });
  return (
    <rect
      x={left}
      y={top}
      width={right - left}
      height={bottom - top + 30}
      className={styles.timeGround}
      onPointerDown={(event) => {
        const svgLeft = event.currentTarget.ownerSVGElement!.getBoundingClientRect().left;
        setOrigin(svgLeft);
        put(event.clientX, svgLeft);
        dispatch(itemSelected(null));
        drag.onPointerDown(event);
      }}
    />
  );
}

/** How fast the hand turns, under the time axis, with its fastest moment. */
function Speed({ layout: { speed, left, right } }: { readonly layout: PullChartLayout }) {
  if (!speed) return null;
  const { path, limitY, baseY, topY, words, fastestX } = speed;
  const isLeft = fastestX > right - 150;
  return (
    <g data-testid="hand-speed" role="img" aria-label={`Speed of the hand: ${words} at most`}>
      <text x={left - 10} y={baseY} textAnchor="end" className={styles.speedWords}>
        hand
      </text>
      <g clipPath="url(#lanes)">
        <path d={path} className={styles.speed} />
        {limitY !== null && <line x1={left} x2={right} y1={limitY} y2={limitY} className={styles.speedLimit} />}
      </g>
      <text x={fastestX + (isLeft ? -6 : 6)} y={topY + 10} textAnchor={isLeft ? 'end' : 'start'} className={styles.speedWords}>
        {words}
      </text>
    </g>
  );
}

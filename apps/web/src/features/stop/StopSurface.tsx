import { formatStop, type HowWide, type KeepRate, type ShotPlan, type StopFigures } from '@still-heron/core';
import { of100 } from '@still-heron/wording';
import { useRef } from 'react';
import { newGesture } from '../../shared/gestures/newGesture';
import { arrowStep } from '../../shared/gestures/arrowStep';
import { useDrag } from '../../shared/gestures/useDrag';
import { useSize, type Size } from '../../shared/useSize';
import { indexOfStop } from './sweep';
import { BlurLane, KeepLane, LightLane, Ticks } from './SurfaceLanes';
import { FOOT, HEAD, surfaceLayout, type SurfaceLayout } from './surfaceLayout';
import styles from './StopSurface.module.css';

export interface SurfaceProps {
  readonly plan: ShotPlan;
  readonly stops: readonly number[];
  readonly rates: readonly (KeepRate | null)[];
  readonly figures: readonly StopFigures[];
  readonly wide: HowWide | null;
  readonly onStop: (stop: number, gesture: string) => void;
  readonly onGiveUp: (gesture: string) => void;
}

/** Minimum readable size. */
const LEAST = { width: 320, height: 260 };

/** Stops across, with keep rate, exposure, and background and foreground blur below. A drag sets the stop. */
export function StopSurface(props: SurfaceProps) {
  const { ref, size } = useSize();
  return (
    <div className={styles.stopSurface} ref={ref}>
      {size && size.width >= LEAST.width && size.height >= LEAST.height && props.figures.length > 0 && (
        <Surface {...props} {...size} />
      )}
    </div>
  );
}

function Surface({ plan, stops, rates, figures, wide, onStop, onGiveUp, width, height }: SurfaceProps & Size) {
  const layout = surfaceLayout(stops, rates, figures, { width, height });
  const { keep } = layout;
  const now = indexOfStop(stops, plan.optics.stop);
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label="Keep rate at each stop"
      data-testid="stop-surface"
      data-kept={rates.map((rate) => (rate ? Math.round(rate.keepRate * rate.takes) : '')).join()}
    >
      <defs>
        <pattern id="stop-lost" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--error)" strokeWidth="2" />
        </pattern>
      </defs>
      <KeepLane layout={layout} plan={plan} />
      <g
        className={styles.stopColumns}
        onClick={(event) => onStop(layout.nearest(event.nativeEvent.offsetX), newGesture('stop'))}
        role="presentation"
      >
        <rect x={layout.left} y={HEAD} width={layout.right - layout.left} height={height - HEAD - FOOT} fill="transparent" />
      </g>
      <LightLane layout={layout} plan={plan} figures={figures} />
      <BlurLane name={plan.goals.background.name || 'behind'} top={layout.behind.top} discs={layout.discs} layout={layout} />
      {layout.front && (
        <BlurLane
          name={figures.find(({ foreground }) => foreground)?.foreground?.name ?? 'in front'}
          top={layout.front.top}
          discs={layout.frontDiscs}
          layout={layout}
        />
      )}
      <Ticks layout={layout} stops={stops} now={now} height={height} />
      {wide?.keeps && (
        <g className={styles.stopAnswer} transform={`translate(${layout.x(wide.keeps.stop)},0)`}>
          <line y1={keep.top} y2={height - FOOT} />
          <path d={`M-6,${keep.top - 2}h12l-6,8z`} />
        </g>
      )}
      <StopHandle
        plan={plan}
        stops={stops}
        rate={rates[now]}
        layout={layout}
        height={height}
        onStop={onStop}
        onGiveUp={onGiveUp}
      />
    </svg>
  );
}

interface StopHandleProps extends Pick<SurfaceProps, 'plan' | 'stops' | 'onStop' | 'onGiveUp'> {
  /** Keep rate at the current stop, if it is known */
  readonly rate: SurfaceProps['rates'][number] | undefined;
  readonly layout: SurfaceLayout;
  readonly height: number;
}

/** The current stop: dragged, or turned by arrow keys. */
function StopHandle({ plan, stops, rate, layout, height, onStop, onGiveUp }: StopHandleProps) {
  const { xs } = layout;
  const scale = plan.optics.lens.stopScale;
  const now = indexOfStop(stops, plan.optics.stop);
  const grabbedX = useRef(0);
  const drag = useDrag({
    onStart: () => (grabbedX.current = xs[now]!),
    onDrag: ({ dx, gesture }) => onStop(layout.nearest(grabbedX.current + dx), gesture),
    onGiveUp,
  });
  const gesture = useRef('');
  const turn = (by: number) => onStop(stops[Math.min(Math.max(now + by, 0), stops.length - 1)]!, gesture.current);
  return (
    <g
      {...drag}
      className={styles.stopHandle}
      transform={`translate(${xs[now]!},0)`}
      role="slider"
      tabIndex={0}
      aria-label="Stop"
      aria-valuemin={stops[0]}
      aria-valuemax={stops.at(-1)}
      aria-valuenow={plan.optics.stop}
      aria-valuetext={`${formatStop(plan.optics.stop, scale)}${rate ? `, ${of100(rate.keepRate)} takes kept` : ''}`}
      onFocus={() => (gesture.current = newGesture('stop'))}
      onKeyDown={(event) => {
        const by = arrowStep(event);
        if (by) turn(by * (event.shiftKey ? 3 : 1));
      }}
    >
      <rect x={-22} width={44} y={0} height={height} fill="transparent" />
      <line y1={HEAD - 2} y2={height - FOOT} />
      {rate && <circle cy={layout.y(rate.keepRate)} r={7} />}
      <text y={HEAD - 10} textAnchor={anchorOf(xs[now]!, layout)}>
        {formatStop(plan.optics.stop, scale)}
        {rate && ` · ${of100(rate.keepRate)}`}
      </text>
    </g>
  );
}

/** Text anchor of a label: inward at both edges. */
function anchorOf(x: number, { left, right }: SurfaceLayout): 'start' | 'middle' | 'end' {
  if (x < left + 60) return 'start';
  return x > right - 60 ? 'end' : 'middle';
}

import { exposureChange, formatStop, type Lens, stopsAt } from '@still-heron/core';
import { scaleLog } from 'd3-scale';
import { useRef } from 'react';
import { arrowStep } from '../../shared/gestures/arrowStep';
import { useDrag } from '../../shared/gestures/useDrag';
import { useSize } from '../../shared/useSize';
import { newGesture } from '../../shared/gestures/newGesture';
import styles from './StopScale.module.css';
import zoneStyles from '../../charts/zone.module.css';

interface Props {
  readonly lens: Lens;
  /** Current focal length; a zoom may be slower at its long end */
  readonly focalLengthMm: number;
  readonly stop: number;
  readonly onStop: (stop: number, gesture: string) => void;
  readonly onGiveUp: (gesture: string) => void;
}

const HEIGHT = 64;
const PAD = 30;

/** Scale of the lens's stops in thirds, even in light. Drag or click to set the stop. */
export function StopScale(props: Props) {
  const { ref, size } = useSize();
  return (
    <div className={styles.stopScale} ref={ref}>
      {size && size.width > 150 && <Scale {...props} width={size.width} />}
    </div>
  );
}

function Scale({ lens, focalLengthMm, stop, onStop, onGiveUp, width }: Props & { readonly width: number }) {
  const stops = stopsAt(lens, focalLengthMm);
  const widest = stops[0]!;
  const x = scaleLog([widest, lens.narrowestStop], [PAD, width - PAD]);
  const nearest = (px: number) => stops.reduce((best, item) => (Math.abs(x(item) - px) < Math.abs(x(best) - px) ? item : best));
  const grabbedX = useRef(0);
  const gesture = useRef('');
  const drag = useDrag({
    onStart: () => (grabbedX.current = x(stop)),
    onDrag: ({ dx, gesture: name }) => onStop(nearest(grabbedX.current + dx), name),
    onGiveUp,
  });
  const turn = (by: number) => {
    const at = stops.findIndex((item) => item >= stop - 1e-9);
    const next = stops[Math.min(Math.max(at + by, 0), stops.length - 1)]!;
    onStop(next, gesture.current);
  };
  return (
    <svg width={width} height={HEIGHT} role="group" aria-label="Stops of the lens">
      <line x1={PAD} x2={width - PAD} y1={38} y2={38} className={zoneStyles.zoneGround} />
      <StopTicks stops={stops} x={x} onStop={onStop} lens={lens} />
      <g
        {...drag}
        className={styles.stopKnob}
        transform={`translate(${x(stop)},38)`}
        role="slider"
        tabIndex={0}
        aria-label="Stop"
        aria-valuenow={stop}
        aria-valuemin={widest}
        aria-valuemax={lens.narrowestStop}
        aria-valuetext={formatStop(stop, lens.stopScale)}
        onFocus={() => (gesture.current = newGesture('stop'))}
        onKeyDown={(event) => {
          const by = arrowStep(event);
          if (by) turn(by * (event.shiftKey ? 3 : 1));
        }}
      >
        <rect x={-22} width={44} y={-30} height={56} fill="transparent" />
        <circle r={9} />
        <text y={-16} textAnchor="middle">
          {formatStop(stop, lens.stopScale)}
        </text>
      </g>
    </svg>
  );
}

interface StopTicksProps {
  readonly stops: number[];
  readonly x: (stop: number) => number;
  readonly onStop: (stop: number, gesture: string) => void;
  readonly lens: Lens;
}

function StopTicks({ stops, x, onStop, lens }: StopTicksProps) {
  return (
    <>
      {stops.map((item, index) => {
        const isFull = isFullStop(item);
        return (
          <g
            key={item}
            transform={`translate(${x(item)},38)`}
            className={styles.stopTick}
            onClick={() => onStop(item, newGesture('stop'))}
          >
            <rect x={-9} width={18} y={-24} height={48} fill="transparent" />
            <line y1={isFull ? -7 : -4} y2={0} />
            {(isFull || index === 0 || index === stops.length - 1) && isClear(item, stops, x) && (
              <text y={20} textAnchor="middle">
                {formatStop(item, lens.stopScale).replace(/^(T|f\/)/, '')}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

/** Full stops are powers of √2; engraved figures are rounded. */
function isFullStop(stop: number): boolean {
  const { stops } = exposureChange(1, stop);
  return Math.abs(stops - Math.round(stops)) < 0.13;
}

/** A full stop close to an end of the scale gets no label. */
function isClear(item: number, stops: readonly number[], x: (stop: number) => number): boolean {
  const ends = [stops[0]!, stops[stops.length - 1]!];
  return ends.includes(item) || ends.every((end) => Math.abs(x(end) - x(item)) > 26);
}

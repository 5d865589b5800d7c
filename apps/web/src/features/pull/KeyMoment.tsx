import { type Beat, formatTime } from '@still-heron/core';
import { useRef } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture } from '../shot/shotSlice';
import { type ReadChart, scaleOf } from './Handle';
import { snapped, timesOf } from './snapTimes';
import styles from './KeyMoment.module.css';

interface Props {
  readonly beat: Beat;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly chart: ReadChart;
  readonly isMissed: boolean;
  readonly onMove: (keyMomentS: number, gesture: string) => void;
}

/** Key moment of a beat: a diamond, crossed out if it is missed. */
export function KeyMoment({ beat, name, x, y, chart, isMissed, onMove }: Props) {
  const dispatch = useAppDispatch();
  const grabbedS = useRef(0);
  const gesture = useRef('');
  const keyMomentS = beat.keyMomentS!;
  const select = () => dispatch(itemSelected({ kind: 'beat', id: beat.id }));
  const drag = useDrag({
    onStart: () => {
      grabbedS.current = keyMomentS;
      select();
    },
    onGiveUp: (step) => dispatch(abandonGesture(step)),
    onDrag: ({ dx, isAlt, gesture: step }) => {
      const { plan, pxPerS } = scaleOf(chart);
      const wantedS = grabbedS.current + dx / pxPerS;
      onMove(isAlt ? wantedS : snapped(wantedS, timesOf(plan, beat.id), pxPerS), step);
    },
  });
  return (
    <g
      {...drag}
      transform={`translate(${x},${y})`}
      className={clsx(styles.keyMoment, isMissed && styles.isMissed)}
      role="slider"
      tabIndex={0}
      aria-label={`Key moment of ${name}`}
      aria-valuenow={Number(keyMomentS.toFixed(3))}
      aria-valuetext={`${formatTime(keyMomentS)}${isMissed ? ', missed' : ''}`}
      data-testid={`key-${beat.id}`}
      onFocus={() => {
        gesture.current = `keys-moment-${beat.id}-${performance.now()}`;
        select();
      }}
      onKeyDown={(event) => {
        const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
        if (!across) return;
        event.preventDefault();
        onMove(keyMomentS + (across * (event.shiftKey ? 10 : 1)) / chart().plan.captureFps, gesture.current);
      }}
    >
      <rect x={-13} y={-12} width={26} height={24} className={styles.grab} />
      <path d="M0,-8L6,0L0,8L-6,0Z" className={styles.keyDiamond} />
      {isMissed && <path d="M-8,8L8,-8" className={styles.keyStrike} />}
    </g>
  );
}

import {
  formatDistance,
  frameAtOrAfter,
  type CompleteVerdict,
  ringReach,
  type ShotPlan,
  type UnitSystem,
  wheelDegOf,
} from '@still-heron/core';
import { useMemo } from 'react';
import { subjectColour } from '../../charts/subjectColour';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { itemSelected } from '../shot/sessionSlice';
import { DIAL, dialLayout } from './dialLayout';
import styles from './RingDial.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict;
  readonly units: UnitSystem;
}

/** The ring at the playhead: its position, marks with their landing windows, hard stops, and the current turn. */
export function RingDial({ plan, verdict, units }: Props) {
  const dispatch = useAppDispatch();
  const timeS = useAppSelector((state) => state.session.timeS);
  const frame = Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1);
  const { track, beyond, sweep, marks, ticks, needle } = useMemo(
    () => dialLayout(plan, verdict, frame, units),
    [plan, verdict, frame, units],
  );
  const ringDeg = verdict.track.ringDeg[frame]!;
  const { stepDeg } = ringReach(plan);
  const figure = stepDeg === null ? `${Math.round(wheelDegOf(plan.wheel, ringDeg))}°` : String(Math.round(ringDeg / stepDeg));
  const of = stepDeg === null ? `of ${plan.wheel ? 'wheel' : 'ring'}` : `of ${plan.optics.lens.stepCount} steps`;
  const said = `${formatDistance(verdict.track.focusMm[frame]!, units)}, ${figure} ${of}`;
  return (
    <svg
      data-testid="dial"
      className={styles.dial}
      width={DIAL.width}
      height={DIAL.height}
      viewBox={`${-DIAL.width / 2} ${-DIAL.middleY} ${DIAL.width} ${DIAL.height}`}
      role="group"
      aria-label={`The ring at ${said}`}
    >
      <path d={track} className={styles.dialTrack} />
      {marks.map(({ id, window, subjectIndex }) => (
        <path key={id} d={window} fill={subjectColour(subjectIndex)} className={styles.dialWindow} />
      ))}
      {beyond.map((path) => (
        <path key={path} d={path} className={styles.dialBeyond} fill="url(#soft-hatch)" />
      ))}
      {sweep !== '' && <path d={sweep} className={styles.dialSweep} />}
      <DialTicks ticks={ticks} />
      {marks.map(({ id, letter, subjectIndex, x, y, tickX, tickY, hasHardStop }) => (
        <g
          key={id}
          className={styles.dialMark}
          fill={subjectColour(subjectIndex)}
          onClick={() => dispatch(itemSelected({ kind: 'mark', id }))}
        >
          <circle cx={tickX} cy={tickY} r={hasHardStop ? 3.5 : 1.8} />
          <text x={x} y={y + 5} textAnchor="middle">
            {letter}
          </text>
        </g>
      ))}
      <line {...needle} className={styles.dialNeedle} />
      <text y={8} textAnchor="middle" className={styles.dialFigure}>
        {figure}
      </text>
      <text y={26} textAnchor="middle" className={styles.dialOf}>
        {of}
      </text>
    </svg>
  );
}

function DialTicks({
  ticks,
}: {
  readonly ticks: readonly {
    readonly label: string;
    readonly x: number;
    readonly y: number;
    readonly x1: number;
    readonly y1: number;
    readonly x2: number;
    readonly y2: number;
  }[];
}) {
  return (
    <>
      {ticks.map(({ label, x, y, x1, y1, x2, y2 }) => (
        <g key={label} className={styles.dialTick}>
          <line x1={x1} y1={y1} x2={x2} y2={y2} />
          <text x={x} y={y + 4} textAnchor="middle">
            {label}
          </text>
        </g>
      ))}
    </>
  );
}

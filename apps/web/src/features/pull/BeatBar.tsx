import { REQUIREMENT_WORDS } from '@still-heron/wording';
import { type Beat, changeBeat, formatTime } from '@still-heron/core';
import clsx from 'clsx';
import { subjectColour } from '../../charts/subjectColour';
import { type KeyboardEvent, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { memoByValue } from '../../shared/memoByValue';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import { type ReadChart, scaleOf } from './Handle';
import { KeyMoment } from './KeyMoment';
import { draggedTime, snappedSpan, timesOf } from './snapTimes';
import styles from './BeatBar.module.css';

/** Height of the hatched strip of a soft span; the label above it stays readable. */
const SOFT_STRIP = 7;

/** A lower lane shows no words. */
const LEAST_FOR_WORDS_PX = 16;

/** Approximate letter width, to decide which words fit. */
const LETTER_PX = 7.4;

/** Part of a beat in which its requirement is not met, in pixels. */
export interface SoftStrip {
  /** Whether its subject is hidden there, and neither sharp nor soft */
  readonly isHidden: boolean;
  readonly x: number;
  readonly width: number;
}

interface Props {
  readonly beat: Beat;
  readonly x: number;
  readonly width: number;
  readonly y: number;
  /** Height of its lane */
  readonly high: number;
  /** Edges of the chart */
  readonly left: number;
  readonly right: number;
  readonly subjectIndex: number;
  /** Its subject */
  readonly name: string;
  /** null for a beat without a key moment */
  readonly keyX: number | null;
  readonly isKeyMomentMissed: boolean;
  readonly strips: readonly SoftStrip[];
  /** Empty for a beat that is kept */
  readonly share: string;
  readonly chart: ReadChart;
}

/** A beat on its lane. Its ends, the whole bar and its key moment can be dragged. Rendered only when something of it changes. */
export const BeatBar = memoByValue(function BeatBar({ beat, x, width, y, high, left, right, name, ...shown }: Props) {
  const { subjectIndex, keyX, isKeyMomentMissed, strips, share, chart } = shown;
  const isSelected = useAppSelector((state) => state.session.selection?.id === beat.id);
  const requirement = `${name} ${REQUIREMENT_WORDS[beat.requirement].phrase}`;
  const colour = subjectColour(subjectIndex);
  const drags = useBeatDrags(beat, requirement, chart);
  const edges = [
    { key: 'fromS', at: x, drag: drags.from, label: `${requirement} from`, value: beat.fromS },
    { key: 'toS', at: x + width, drag: drags.to, label: `${requirement} until`, value: beat.toS },
  ] as const;
  const shownX = Math.max(x, left);
  const shownWidth = Math.min(x + width, right) - shownX;
  const words = wordsThatFit(beat, name, shownWidth - 16);
  return (
    <g
      className={clsx(styles.beat, styles[`is-${beat.requirement}`], isSelected && styles.isSelected)}
      style={{ color: colour }}
      clipPath="url(#lanes)"
    >
      <rect x={x} width={width} y={y} height={high} rx={3} className={styles.beatGround} />
      <rect {...drags.body} x={x} width={width} y={y} height={high} rx={3} className={styles.beatBar} onClick={drags.select} />
      <rect x={x} width={3} y={y} height={high} fill={colour} />
      <SoftStrips strips={strips} y={y} high={high} />
      <BeatLabel shownX={shownX} y={y} high={high} shownWidth={shownWidth} words={words} share={share} />
      {edges.map(({ key, at, drag, label, value }) => (
        <BeatEdge
          key={key}
          at={at}
          y={y}
          high={high}
          value={value}
          label={label}
          drag={drag}
          onSelect={drags.select}
          onKey={drags.onKey(key)}
        />
      ))}
      {keyX !== null && (
        <KeyMoment
          beat={beat}
          name={name}
          x={keyX}
          y={y + high / 2}
          chart={chart}
          isMissed={isKeyMomentMissed}
          onMove={(keyMomentS, step) => drags.change({ keyMomentS }, step)}
        />
      )}
    </g>
  );
});

interface BeatLabelProps extends Pick<Props, 'y' | 'high'> {
  readonly shownX: number;
  readonly shownWidth: number;
  readonly words: string;
  readonly share: string;
}

function BeatLabel({ shownX, y, high, shownWidth, words, share }: BeatLabelProps) {
  if (high < LEAST_FOR_WORDS_PX) return null;
  return (
    <svg x={shownX} y={y} width={Math.max(shownWidth - 6, 0)} height={high}>
      <text x={10} y={high / 2 + 4} className={styles.beatWords}>
        {words}
      </text>
      {share !== '' && (words.length + share.length + 2) * LETTER_PX < shownWidth - 16 && (
        <text x={shownWidth - 12} y={high / 2 + 4} textAnchor="end" className={clsx(styles.beatWords, styles.beatShareWords)}>
          {share}
        </text>
      )}
    </svg>
  );
}

/** Drags and keys of a beat: both ends, and the whole bar. */
function useBeatDrags(beat: Beat, requirement: string, chart: ReadChart) {
  const dispatch = useAppDispatch();
  const was = useRef(beat);
  const gesture = useRef('');
  const change = (changes: Partial<Pick<Beat, 'fromS' | 'toS' | 'keyMomentS'>>, step: string) =>
    dispatch(editPlan(`change when ${requirement}`, (now) => changeBeat(now, beat.id, changes), step));
  const common = {
    onStart: () => {
      was.current = beat;
      dispatch(itemSelected({ kind: 'beat', id: beat.id }));
    },
    onGiveUp: (step: string) => dispatch(abandonGesture(step)),
  };
  const timeAt = (timeS: number, dx: number, isAlt: boolean) => {
    const { plan, pxPerS } = scaleOf(chart);
    return draggedTime(timeS, dx / pxPerS, isAlt ? null : { times: timesOf(plan, beat.id), pxPerS });
  };
  const body = useDrag({
    ...common,
    onDrag: ({ dx, isAlt, gesture: step }) => {
      const { plan, pxPerS } = scaleOf(chart);
      const lengthS = was.current.toS - was.current.fromS;
      const wantedS = was.current.fromS + dx / pxPerS;
      const snappedS = isAlt ? wantedS : snappedSpan(wantedS, wantedS + lengthS, timesOf(plan, beat.id), pxPerS);
      const fromS = Math.min(Math.max(snappedS, 0), plan.durationS - lengthS);
      change({ fromS, toS: fromS + lengthS }, step);
    },
  });
  const from = useDrag({
    ...common,
    onDrag: ({ dx, isAlt, gesture: step }) => change({ fromS: timeAt(was.current.fromS, dx, isAlt) }, step),
  });
  const to = useDrag({
    ...common,
    onDrag: ({ dx, isAlt, gesture: step }) => change({ toS: timeAt(was.current.toS, dx, isAlt) }, step),
  });
  const onKey = (edge: 'fromS' | 'toS') => (event: KeyboardEvent) => {
    const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!across) return;
    event.preventDefault();
    change({ [edge]: beat[edge] + (across * (event.shiftKey ? 10 : 1)) / chart().plan.captureFps }, gesture.current);
  };
  const select = () => {
    gesture.current = `keys-${beat.id}-${performance.now()}`;
    dispatch(itemSelected({ kind: 'beat', id: beat.id }));
  };
  return { body, from, to, onKey, select, change };
}

function SoftStrips({ strips, y, high }: Pick<Props, 'strips' | 'y' | 'high'>) {
  return (
    <>
      {strips.map(({ x, width, isHidden }) => (
        <rect
          key={`${x} ${isHidden}`}
          x={x}
          width={width}
          y={isHidden ? y : y + high - SOFT_STRIP}
          height={isHidden ? high : SOFT_STRIP}
          {...(isHidden ? {} : { fill: 'url(#soft-hatch)' })}
          className={isHidden ? styles.beatHidden : styles.beatSoft}
        />
      ))}
    </>
  );
}

interface BeatEdgeProps {
  readonly at: number;
  readonly y: number;
  readonly high: number;
  readonly value: number;
  readonly label: string;
  readonly drag: ReturnType<typeof useDrag>;
  readonly onSelect: () => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

function BeatEdge({ at, y, high, value, label, drag, onSelect, onKey }: BeatEdgeProps) {
  return (
    <rect
      {...drag}
      x={at - 7}
      y={y}
      width={14}
      height={high}
      className={styles.beatEdge}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Number(value.toFixed(3))}
      aria-valuetext={formatTime(value)}
      onFocus={onSelect}
      onKeyDown={onKey}
    />
  );
}

/** As much of the requirement, purpose and subject as fits on the bar. */
function wordsThatFit({ requirement: kind, why, alternate }: Beat, name: string, roomPx: number): string {
  const tag = [alternate === null ? '' : `${alternate} only`, REQUIREMENT_WORDS[kind].tag].filter(Boolean).join(', ');
  const whole = [name, tag, why].filter(Boolean).join(' · ');
  const short = [name, tag].filter(Boolean).join(' · ');
  return [whole, short, name, tag].find((words) => words !== '' && words.length * LETTER_PX < roomPx) ?? name;
}

import { type Beat, changeBeat, formatTime, type JudgedPull, type ShotPlan } from '@still-heron/core';
import { currentColour } from '../../charts/currentColour';
import { type KeyboardEvent, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useDrag } from '../../charts/useDrag';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import { type ChannelLayout, LANE } from './channelLayout';

/** Height of the hatched foot of a soft stretch: the words stay readable over it. */
const SOFT_STRIP = 7;

/** Width of a letter, near enough to tell whether the words fit. */
const LETTER_PX = 7;

interface Props {
  readonly layout: ChannelLayout;
  readonly plan: ShotPlan;
  readonly verdict: JudgedPull | null;
}

/** Who must be sharp when: a lane a subject, a bar a beat, hatched where it is soft. */
export function BeatLanes({ layout, plan, verdict }: Props) {
  const { lanes, left, right } = layout;
  return lanes.map(({ subjectId, current, y, beats }) => (
    <g key={subjectId}>
      <line x1={left} x2={right} y1={y + LANE / 2} y2={y + LANE / 2} className="lane-line" />
      {beats.map(({ beat, x, width }) => (
        <BeatBar
          key={beat.id}
          beat={beat}
          x={x}
          width={width}
          y={y}
          current={current}
          layout={layout}
          plan={plan}
          verdict={verdict}
        />
      ))}
    </g>
  ));
}

interface BarProps extends Props {
  readonly beat: Beat;
  readonly x: number;
  readonly width: number;
  readonly y: number;
  readonly current: number;
}

function BeatBar({ beat, x, width, y, current, layout, plan, verdict }: BarProps) {
  const dispatch = useAppDispatch();
  const isSelected = useAppSelector((state) => state.session.selection?.id === beat.id);
  const name = plan.subjects[current]!.name;
  const was = useRef(beat);
  const gesture = useRef('');
  const colour = currentColour(current);
  const seconds = (dx: number) => layout.x.invert(layout.left + dx);
  const change = (changes: Partial<Pick<Beat, 'fromS' | 'toS'>>, step: string) =>
    dispatch(editPlan(`when ${name} must be sharp`, (now) => changeBeat(now, beat.id, changes), step));
  const common = {
    onStart: () => {
      was.current = beat;
      dispatch(itemSelected({ kind: 'beat', id: beat.id }));
    },
    onGiveUp: (step: string) => dispatch(abandonGesture(step)),
  };
  const body = useDrag({
    ...common,
    onDrag: ({ dx, gesture: step }) => {
      const { fromS, toS } = was.current;
      const by = Math.min(Math.max(seconds(dx), -fromS), plan.durationS - toS);
      change({ fromS: fromS + by, toS: toS + by }, step);
    },
  });
  const from = useDrag({
    ...common,
    onDrag: ({ dx, gesture: step }) => change({ fromS: was.current.fromS + seconds(dx) }, step),
  });
  const to = useDrag({ ...common, onDrag: ({ dx, gesture: step }) => change({ toS: was.current.toS + seconds(dx) }, step) });
  const onKey = (edge: 'fromS' | 'toS') => (event: KeyboardEvent) => {
    const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!across) return;
    event.preventDefault();
    change({ [edge]: beat[edge] + (across * (event.shiftKey ? 10 : 1)) / plan.captureFps }, gesture.current);
  };
  const select = () => {
    gesture.current = `keys-${beat.id}-${performance.now()}`;
    dispatch(itemSelected({ kind: 'beat', id: beat.id }));
  };
  const soft = (verdict?.softSpans ?? []).filter((span) => span.beatId === beat.id);
  const edges = [
    { key: 'fromS', at: x, drag: from, label: `${name} must be sharp from`, value: beat.fromS },
    { key: 'toS', at: x + width, drag: to, label: `${name} must be sharp until`, value: beat.toS },
  ] as const;
  const words = [`${name} · ${beat.why}`, name].find((text) => beat.why !== '' && text.length * LETTER_PX < width - 16) ?? name;
  return (
    <g className={`beat${isSelected ? ' is-selected' : ''}`} style={{ color: colour }}>
      <rect x={x} width={width} y={y} height={LANE} rx={3} className="beat-ground" />
      <rect {...body} x={x} width={width} y={y} height={LANE} rx={3} className="beat-bar" onClick={select} />
      <rect x={x} width={3} y={y} height={LANE} fill={colour} />
      {soft.map((span) => (
        <rect
          key={span.fromFrame}
          x={layout.x(span.fromS)}
          width={Math.max(2, layout.x(span.toS) - layout.x(span.fromS))}
          y={y + LANE - SOFT_STRIP}
          height={SOFT_STRIP}
          fill="url(#soft-hatch)"
          className="beat-soft"
        />
      ))}
      <svg x={x} y={y} width={Math.max(width - 6, 0)} height={LANE}>
        <text x={10} y={16} className="beat-words">
          {words}
        </text>
      </svg>
      {edges.map(({ key, at, drag, label, value }) => (
        <rect
          key={key}
          {...drag}
          x={at - 7}
          y={y}
          width={14}
          height={LANE}
          className="beat-edge"
          role="slider"
          tabIndex={0}
          aria-label={label}
          aria-valuenow={Number(value.toFixed(3))}
          aria-valuetext={formatTime(value)}
          onFocus={select}
          onKeyDown={onKey(key)}
        />
      ))}
    </g>
  );
}

import {
  changeRack,
  displayStepMm,
  dragRackEdge,
  formatDistance,
  formatTime,
  type LineTarget,
  markDistances,
  rackEndS,
  type Rack,
  setLineStart,
  type ShotPlan,
  targetDistanceMm,
  targetName,
  type UnitSystem,
} from '@still-heron/core';
import { type KeyboardEvent, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useDrag } from '../../charts/useDrag';
import { nudgeDistance } from '../../fields/readDistance';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import type { ChannelLayout } from './channelLayout';

/** Within so many pixels of a mark a dragged target is the mark. */
const SNAP_PX = 9;

export interface HandleProps {
  readonly layout: ChannelLayout;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  /** Holds the axis still while something is dragged */
  readonly hold: { readonly start: () => void; readonly end: () => void };
}

/** Each move's two ends and the stretch between them, to be dragged or moved by the arrow keys. */
export function MoveHandles(props: HandleProps) {
  return props.plan.line.moves.map((rack, index) => (
    <OneMove key={rack.id} rack={rack} place={props.layout.moves[index]!} {...props} />
  ));
}

function OneMove({
  rack,
  place,
  layout,
  plan,
  units,
  hold,
}: HandleProps & { readonly rack: Rack; readonly place: ChannelLayout['moves'][number] }) {
  const dispatch = useAppDispatch();
  const isSelected = useAppSelector((state) => state.session.selection?.id === rack.id);
  const before = useRef({ rack, toY: place.toY });
  const name = targetName(rack.target, plan, units);
  const edit = (what: string, change: (plan: ShotPlan) => ShotPlan, gesture: string) => dispatch(editPlan(what, change, gesture));
  const putBack = (gesture: string) => {
    dispatch(abandonGesture(gesture));
    hold.end();
  };
  const onStart = () => {
    before.current = { rack, toY: place.toY };
    hold.start();
    dispatch(itemSelected({ kind: 'move', id: rack.id }));
  };
  const seconds = (dx: number) => layout.x.invert(layout.left + dx);

  const startDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, gesture }) =>
      edit(
        `start the pull to ${name}`,
        (now) => dragRackEdge(now, rack.id, 'start', before.current.rack.startS + seconds(dx)),
        gesture,
      ),
  });
  const bodyDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, gesture }) =>
      edit(
        `move the pull to ${name}`,
        (now) => changeRack(now, rack.id, { startS: before.current.rack.startS + seconds(dx) }),
        gesture,
      ),
  });
  const endDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, dy, gesture }) => {
      const { rack: was, toY } = before.current;
      // across is the landing's time, up and down is where it lands
      if (Math.abs(dx) >= Math.abs(dy))
        edit(
          `land the pull to ${name}`,
          (now) => dragRackEdge(changeRack(now, rack.id, { target: was.target }), rack.id, 'end', rackEndS(was) + seconds(dx)),
          gesture,
        );
      else
        edit(
          'aim the pull',
          (now) => changeRack(now, rack.id, { durationS: was.durationS, target: targetAt(toY + dy, layout, now, units) }),
          gesture,
        );
    },
  });

  const frameS = 1 / plan.captureFps;
  const gesture = useRef('');
  const onKey = (edge: 'start' | 'end') => (event: KeyboardEvent) => {
    const steps = event.shiftKey ? 10 : 1;
    const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (across) {
      event.preventDefault();
      const timeS = (edge === 'start' ? rack.startS : rackEndS(rack)) + across * steps * frameS;
      edit(
        `${edge === 'start' ? 'start' : 'land'} the pull to ${name}`,
        (now) => dragRackEdge(now, rack.id, edge, timeS),
        gesture.current,
      );
    } else if (up && edge === 'end') {
      event.preventDefault();
      edit(
        'aim the pull',
        (now) => changeRack(now, rack.id, { target: nudgedTarget(rack.target, up * steps, now, units) }),
        gesture.current,
      );
    }
  };
  const select = () => {
    gesture.current = `keys-${rack.id}-${performance.now()}`;
    dispatch(itemSelected({ kind: 'move', id: rack.id }));
  };
  return (
    <g className={`move${isSelected ? ' is-selected' : ''}`} onPointerUp={() => hold.end()}>
      <line
        x1={place.startX}
        y1={place.fromY}
        x2={place.endX}
        y2={place.toY}
        className="move-body"
        {...bodyDrag}
        onClick={select}
        data-testid={`move-body-${rack.id}`}
      />
      <Handle
        {...startDrag}
        x={place.startX}
        y={place.fromY}
        onFocus={select}
        onKeyDown={onKey('start')}
        label={`Start of the pull to ${name}`}
        value={rack.startS}
        text={formatTime(rack.startS)}
        testId={`move-start-${rack.id}`}
      />
      <Handle
        {...endDrag}
        x={place.endX}
        y={place.toY}
        onFocus={select}
        onKeyDown={onKey('end')}
        label={`Landing of the pull to ${name}`}
        value={rackEndS(rack)}
        text={`${formatTime(rackEndS(rack))}, at ${formatDistance(targetDistanceMm(rack.target, markDistances(plan.marks)), units)}`}
        testId={`move-end-${rack.id}`}
      />
    </g>
  );
}

/** Where the line starts: dragged up and down. */
export function LineStart({ layout, plan, units, hold }: HandleProps) {
  const dispatch = useAppDispatch();
  const grabbedY = useRef(0);
  const gesture = useRef('');
  const set = (start: LineTarget, name: string) =>
    dispatch(editPlan('where the line starts', (now) => setLineStart(now, start), name));
  const drag = useDrag({
    onStart: () => {
      grabbedY.current = layout.startY ?? 0;
      hold.start();
    },
    onDrag: ({ dy, gesture: name }) => set(targetAt(grabbedY.current + dy, layout, plan, units), name),
    onGiveUp: (name) => {
      dispatch(abandonGesture(name));
      hold.end();
    },
  });
  const { start } = plan.line;
  if (!start || layout.startY === null) return null;
  return (
    <g className="move" onPointerUp={() => hold.end()}>
      <Handle
        {...drag}
        x={layout.left}
        y={layout.startY}
        label="Where the line starts"
        value={0}
        text={formatDistance(targetDistanceMm(start, markDistances(plan.marks)), units)}
        testId="line-start"
        onFocus={() => (gesture.current = `keys-start-${performance.now()}`)}
        onKeyDown={(event) => {
          const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
          if (!up) return;
          event.preventDefault();
          set(nudgedTarget(start, up * (event.shiftKey ? 10 : 1), plan, units), gesture.current);
        }}
      />
    </g>
  );
}

interface OneHandle {
  readonly x: number;
  readonly y: number;
  readonly label: string;
  readonly value: number;
  readonly text: string;
  readonly testId: string;
  readonly onPointerDown: (event: React.PointerEvent) => void;
  readonly onFocus: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

function Handle({ x, y, label, value, text, testId, ...events }: OneHandle) {
  return (
    <g
      transform={`translate(${x},${y})`}
      className="handle"
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Number(value.toFixed(3))}
      aria-valuetext={text}
      data-testid={testId}
      {...events}
    >
      <circle r={15} className="handle-grab" />
      <circle r={5.5} className="handle-dot" />
    </g>
  );
}

/** The mark whose height is near, or the plain distance at a height, to the display's step. */
function targetAt(y: number, layout: ChannelLayout, plan: ShotPlan, units: UnitSystem): LineTarget {
  const near = layout.marks
    .filter((mark) => Math.abs(mark.y - y) <= SNAP_PX)
    .sort((a, b) => Math.abs(a.y - y) - Math.abs(b.y - y))[0];
  if (near && plan.marks.some(({ id }) => id === near.id)) return { kind: 'mark', markId: near.id };
  const mm = layout.scale.distanceAt(y);
  if (mm > 1_000_000) return { kind: 'distance', distanceMm: null };
  const stepMm = displayStepMm(mm, units);
  return { kind: 'distance', distanceMm: Math.round(mm / stepMm) * stepMm };
}

/** A step from where the target is: it leaves its mark, and comes onto one that lies exactly there. */
function nudgedTarget(target: LineTarget, steps: number, plan: ShotPlan, units: UnitSystem): LineTarget {
  const mm = nudgeDistance(targetDistanceMm(target, markDistances(plan.marks)), steps, units);
  const mark = plan.marks.find(({ distanceMm }) => distanceMm !== null && Math.abs(distanceMm - mm) < 1e-6);
  return mark ? { kind: 'mark', markId: mark.id } : { kind: 'distance', distanceMm: mm };
}

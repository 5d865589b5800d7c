import {
  changeRack,
  dragRackEdge,
  formatDistance,
  formatTime,
  type Rack,
  rackEndS,
  type ShotPlan,
  targetName,
} from '@still-heron/core';
import { type KeyboardEvent, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useDrag } from '../../charts/useDrag';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import type { ChannelLayout } from './channelLayout';
import { Handle, type HandleProps } from './Handle';
import { nudgedTarget, plainMm, targetAt } from './lineTargets';
import { snapped, snappedSpan, timesOf } from './snapTimes';

/** Both ends and the middle of each pull, moved by drag or arrow keys. */
export function MoveHandles(props: HandleProps) {
  const { moves, left, right } = props.layout;
  const isShown = ({ startX, endX }: ChannelLayout['moves'][number]) => endX > left - 1 && startX < right + 1;
  return props.plan.line.moves.map((rack, index) =>
    isShown(moves[index]!) ? <OneMove key={rack.id} rack={rack} place={moves[index]!} {...props} /> : null,
  );
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
  const pxPerS = layout.x(1) - layout.x(0);
  // Alt turns snapping off
  const timeAt = (timeS: number, dx: number, isAlt: boolean) =>
    isAlt ? timeS + dx / pxPerS : snapped(timeS + dx / pxPerS, timesOf(plan, rack.id), pxPerS);

  const startDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, isAlt, gesture }) =>
      edit(
        `start the pull to ${name}`,
        (now) => dragRackEdge(now, rack.id, 'start', timeAt(before.current.rack.startS, dx, isAlt)),
        gesture,
      ),
  });
  const bodyDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, isAlt, gesture }) => {
      const fromS = before.current.rack.startS + dx / pxPerS;
      const toS = fromS + before.current.rack.durationS;
      const startS = isAlt ? fromS : snappedSpan(fromS, toS, timesOf(plan, rack.id), pxPerS);
      edit(`move the pull to ${name}`, (now) => changeRack(now, rack.id, { startS }), gesture);
    },
  });
  const endDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, dy, isAlt, gesture }) => {
      const { rack: was, toY } = before.current;
      // a horizontal drag changes the landing time, a vertical one the target
      if (Math.abs(dx) >= Math.abs(dy) || plainMm(was.target, plan) === null)
        edit(
          `land the pull to ${name}`,
          (now) =>
            dragRackEdge(changeRack(now, rack.id, { target: was.target }), rack.id, 'end', timeAt(rackEndS(was), dx, isAlt)),
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
        text={`${formatTime(rackEndS(rack))}, at ${landingWords(rack, plan, units)}`}
        testId={`move-end-${rack.id}`}
      />
    </g>
  );
}

/** Target of a pull: a distance, or what it tracks. */
function landingWords({ target }: Rack, plan: ShotPlan, units: HandleProps['units']): string {
  const mm = plainMm(target, plan);
  return mm === null ? targetName(target, plan, units) : formatDistance(mm, units);
}

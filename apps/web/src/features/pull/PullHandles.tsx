import { changePull, dragPullEdge, formatDistance, formatTime, type Pull, pullEndS, type ShotPlan } from '@still-heron/core';
import { targetName } from '@still-heron/wording';
import { type KeyboardEvent, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { memoByValue } from '../../shared/memoByValue';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import { Handle, type HandleProps, scaleOf } from './Handle';
import { nudgedTarget, plainMm, targetAt } from './dragTargets';
import { draggedTime, snappedSpan, timesOf } from './snapTimes';
import styles from './PullHandles.module.css';

/** Both ends and the middle of each pull, moved by drag or arrow keys. */
export function PullHandles({ layout, plan, units, hold, chart }: HandleProps) {
  const { pulls: places, left, right } = layout;
  return plan.focusTrack.pulls.map((pull, index) => {
    const { startX, endX, fromY, toY } = places[index]!;
    if (endX <= left - 1 || startX >= right + 1) return null;
    const name = targetName(pull.target, plan, units);
    const lands = landingWords(pull, plan, units);
    return <OnePull key={pull.id} {...{ pull, startX, endX, fromY, toY, name, lands, units, hold, chart }} />;
  });
}

interface OnePullProps extends Pick<HandleProps, 'units' | 'hold' | 'chart'> {
  readonly pull: Pull;
  readonly startX: number;
  readonly endX: number;
  readonly fromY: number;
  readonly toY: number;
  /** Its target */
  readonly name: string;
  readonly lands: string;
}

/** While one pull is dragged, the others are not rendered. */
const OnePull = memoByValue(function OnePull({ pull, name, lands, ...place }: OnePullProps) {
  const { startX, endX, fromY, toY, units, hold, chart } = place;
  const isSelected = useAppSelector((state) => state.session.selection?.id === pull.id);
  const { startDrag, bodyDrag, endDrag } = usePullDrags({ pull, toY, name, units, hold, chart });
  const { onKey, select } = usePullKeys({ pull, name, units, chart });
  return (
    <g data-selected={isSelected || undefined} onPointerUp={() => hold.end()}>
      <line
        x1={startX}
        y1={fromY}
        x2={endX}
        y2={toY}
        className={styles.moveBody}
        {...bodyDrag}
        onClick={select}
        data-testid={`move-body-${pull.id}`}
      />
      <Handle
        {...startDrag}
        x={startX}
        y={fromY}
        onFocus={select}
        onKeyDown={onKey('start')}
        label={`Start of the pull to ${name}`}
        value={pull.startS}
        text={formatTime(pull.startS)}
        testId={`move-start-${pull.id}`}
      />
      <Handle
        {...endDrag}
        x={endX}
        y={toY}
        onFocus={select}
        onKeyDown={onKey('end')}
        label={`Landing of the pull to ${name}`}
        value={pullEndS(pull)}
        text={`${formatTime(pullEndS(pull))}, at ${lands}`}
        testId={`move-end-${pull.id}`}
      />
    </g>
  );
});

interface PullEditing extends Pick<HandleProps, 'units' | 'chart'> {
  readonly pull: Pull;
  readonly name: string;
}

function usePlanEdit() {
  const dispatch = useAppDispatch();
  return (what: string, change: (plan: ShotPlan) => ShotPlan, gesture: string) => dispatch(editPlan(what, change, gesture));
}

interface PullDragging extends PullEditing, Pick<HandleProps, 'hold'> {
  readonly toY: number;
}

/** Drags of the start, the landing and the whole of a pull. */
function usePullDrags({ pull, toY: landsY, name, units, hold, chart }: PullDragging) {
  const dispatch = useAppDispatch();
  const edit = usePlanEdit();
  const before = useRef({ rack: pull, toY: landsY });
  const putBack = (gesture: string) => {
    dispatch(abandonGesture(gesture));
    hold.end();
  };
  const onStart = () => {
    before.current = { rack: pull, toY: landsY };
    hold.start();
    dispatch(itemSelected({ kind: 'move', id: pull.id }));
  };
  const timeAt = (timeS: number, dx: number, isAlt: boolean) => {
    const { plan, pxPerS } = scaleOf(chart);
    return draggedTime(timeS, dx / pxPerS, isAlt ? null : { times: timesOf(plan, pull.id), pxPerS });
  };

  const startDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, isAlt, gesture }) =>
      edit(
        `change the start of the pull to ${name}`,
        (now) => dragPullEdge(now, pull.id, 'start', timeAt(before.current.rack.startS, dx, isAlt)),
        gesture,
      ),
  });
  const bodyDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, isAlt, gesture }) => {
      const { plan, pxPerS } = scaleOf(chart);
      const fromS = before.current.rack.startS + dx / pxPerS;
      const toS = fromS + before.current.rack.durationS;
      const startS = isAlt ? fromS : snappedSpan(fromS, toS, timesOf(plan, pull.id), pxPerS);
      edit(`move the pull to ${name}`, (now) => changePull(now, pull.id, { startS }), gesture);
    },
  });
  const endDrag = useDrag({
    onStart,
    onGiveUp: putBack,
    onDrag: ({ dx, dy, isAlt, gesture }) => {
      const { rack: was, toY } = before.current;
      // a horizontal drag changes the landing time, a vertical one the target
      if (Math.abs(dx) >= Math.abs(dy) || plainMm(was.target, chart().plan) === null)
        edit(
          `change the landing of the pull to ${name}`,
          (now) =>
            dragPullEdge(changePull(now, pull.id, { target: was.target }), pull.id, 'end', timeAt(pullEndS(was), dx, isAlt)),
          gesture,
        );
      else
        edit(
          'change the target of the pull',
          (now) => changePull(now, pull.id, { durationS: was.durationS, target: targetAt(toY + dy, chart().layout, now, units) }),
          gesture,
        );
    },
  });
  return { startDrag, bodyDrag, endDrag };
}

/** Arrow keys on the ends of a pull: its times, and the target of its landing. */
function usePullKeys({ pull, name, units, chart }: PullEditing) {
  const dispatch = useAppDispatch();
  const edit = usePlanEdit();
  const [gesture, setGesture] = useState('');
  const onKey = (edge: 'start' | 'end') => (event: KeyboardEvent) => {
    const steps = event.shiftKey ? 10 : 1;
    const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (across) {
      event.preventDefault();
      const timeS = (edge === 'start' ? pull.startS : pullEndS(pull)) + (across * steps) / chart().plan.captureFps;
      edit(
        `change the ${edge === 'start' ? 'start' : 'landing'} of the pull to ${name}`,
        (now) => dragPullEdge(now, pull.id, edge, timeS),
        gesture,
      );
    } else if (up && edge === 'end') {
      event.preventDefault();
      edit(
        'change the target of the pull',
        (now) => changePull(now, pull.id, { target: nudgedTarget(pull.target, up * steps, now, units) }),
        gesture,
      );
    }
  };
  const select = () => {
    setGesture(`keys-${pull.id}-${performance.now()}`);
    dispatch(itemSelected({ kind: 'move', id: pull.id }));
  };
  return { onKey, select };
}

/** Target of a pull: a distance, or what it tracks. */
function landingWords({ target }: Pull, plan: ShotPlan, units: HandleProps['units']): string {
  const mm = plainMm(target, plan);
  return mm === null ? targetName(target, plan, units) : formatDistance(mm, units);
}

import { formatDistance, type FocusTarget, setTrackStart } from '@still-heron/core';
import { targetName } from '@still-heron/wording';
import { useRef } from 'react';
import { useAppDispatch } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import { Handle, type HandleProps } from './Handle';
import { nudgedTarget, plainMm, targetAt } from './dragTargets';

/** Start of the focus track, dragged up and down. */
export function TrackStart({ layout, plan, units, hold }: HandleProps) {
  const dispatch = useAppDispatch();
  const { start } = plan.focusTrack;
  const grabbedY = useRef(0);
  const gesture = useRef('');
  const set = (start: FocusTarget, name: string) =>
    dispatch(editPlan('change where focus starts', (now) => setTrackStart(now, start), name));
  const drag = useDrag({
    onStart: () => {
      grabbedY.current = layout.startY ?? 0;
      hold.start();
    },
    onDrag: ({ dy, gesture: name }) =>
      start && plainMm(start, plan) !== null && set(targetAt(grabbedY.current + dy, layout, plan, units), name),
    onGiveUp: (name) => {
      dispatch(abandonGesture(name));
      hold.end();
    },
  });
  if (!start || layout.startY === null || layout.x(0) < layout.left - 1 || start.kind === 'course') return null;
  const startMm = plainMm(start, plan);
  return (
    <g onPointerUp={() => hold.end()}>
      <Handle
        {...drag}
        x={layout.left}
        y={layout.startY}
        label="Where focus starts"
        value={0}
        text={startMm === null ? targetName(start, plan, units) : formatDistance(startMm, units)}
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

import { changeCoursePoint, type CoursePoint, formatTime } from '@still-heron/core';
import { useRef } from 'react';
import { useAppDispatch } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import type { PullChartLayout } from './pullChartLayout';
import { Handle, type HandleProps } from './Handle';
import { steppedMm } from './dragTargets';

/** Points of a course, draggable in time and distance. */
export function CoursePoints(props: HandleProps) {
  const { points, left, right } = props.layout;
  return points
    .filter(({ x }) => x > left - 1 && x < right + 1)
    .map((point) => <OnePoint key={`${point.pullId} ${point.index}`} point={point} {...props} />);
}

function OnePoint({ point, layout, plan, units, hold }: HandleProps & { readonly point: PullChartLayout['points'][number] }) {
  const dispatch = useAppDispatch();
  const grabbed = useRef(point);
  const gesture = useRef('');
  const { pullId, index } = point;
  const timeS = layout.x.invert(point.x);
  const change = (changes: Partial<CoursePoint>, step: string) =>
    dispatch(editPlan('change the course', (now) => changeCoursePoint(now, pullId, index, changes), step));
  const drag = useDrag({
    onStart: () => {
      grabbed.current = point;
      hold.start();
    },
    onDrag: ({ dx, dy, gesture: step }) =>
      change(
        {
          timeS: layout.x.invert(grabbed.current.x + dx),
          distanceMm: steppedMm(layout.scale.distanceAt(grabbed.current.y + dy), units),
        },
        step,
      ),
    onEnd: hold.end,
    onGiveUp: (step) => {
      dispatch(abandonGesture(step));
      hold.end();
    },
  });
  return (
    <Handle
      {...drag}
      x={point.x}
      y={point.y}
      label={`Point ${index + 1} of the course`}
      value={timeS}
      text={formatTime(timeS)}
      testId={`course-${index}`}
      onFocus={() => (gesture.current = `keys-course-${index}-${performance.now()}`)}
      onKeyDown={(event) => {
        const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
        const up = { ArrowUp: -1, ArrowDown: 1 }[event.key];
        if (!across && !up) return;
        event.preventDefault();
        const steps = event.shiftKey ? 10 : 1;
        if (across) change({ timeS: timeS + (across * steps) / plan.captureFps }, gesture.current);
        else change({ distanceMm: steppedMm(layout.scale.distanceAt(point.y + up! * steps), units) }, gesture.current);
      }}
    />
  );
}

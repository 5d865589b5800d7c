import { displayStepMm, setMarkFocus } from '@still-heron/core';
import clsx from 'clsx';
import { subjectColour } from '../../charts/subjectColour';
import { useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { memoByValue } from '../../shared/memoByValue';
import { nudgeDistance } from '../../ui/fields/readDistance';
import { itemSelected } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import type { PullChartLayout } from './pullChartLayout';
import type { HandleProps } from './Handle';
import styles from './MarkChips.module.css';
import markListStyles from './MarkList.module.css';

/** Marks at the right edge: letter, and what the ring is set to there. A vertical drag measures the mark again. */
export function MarkChips({ layout: { marks, right }, units, hold, chart }: HandleProps) {
  return marks.map((mark) => <MarkChip key={mark.id} {...{ mark, right, units, hold, chart }} />);
}

interface ChipProps extends Pick<HandleProps, 'units' | 'hold' | 'chart'> {
  readonly mark: PullChartLayout['marks'][number];
  /** Right edge of the chart */
  readonly right: number;
}

const MarkChip = memoByValue(function MarkChip({ mark, right, units, hold, chart }: ChipProps) {
  const dispatch = useAppDispatch();
  const isSelected = useAppSelector((state) => state.session.selection?.id === mark.id);
  const { focusMm } = mark;
  const grabbedY = useRef(mark.y);
  const gesture = useRef('');
  const set = (mm: number, name: string) =>
    dispatch(editPlan(`measure ${mark.letter} again`, (now) => setMarkFocus(now, mark.id, mm), name));
  const drag = useDrag({
    onStart: () => {
      grabbedY.current = mark.y;
      hold.start();
      dispatch(itemSelected({ kind: 'mark', id: mark.id }));
    },
    onDrag: ({ dy, gesture: name }) => {
      const mm = chart().layout.scale.distanceAt(grabbedY.current + dy);
      const stepMm = displayStepMm(mm, units);
      // a walking subject can't be at infinity: the axis ends before it
      if (Number.isFinite(mm) && mm < 1_000_000) set(Math.round(mm / stepMm) * stepMm, name);
    },
    onGiveUp: (name) => {
      dispatch(abandonGesture(name));
      hold.end();
    },
  });
  const colour = subjectColour(mark.subjectIndex);
  return (
    <g
      {...drag}
      className={clsx(styles.markChip, isSelected && markListStyles.isSelected)}
      role="slider"
      tabIndex={0}
      aria-label={`Mark ${mark.letter}`}
      aria-valuenow={Number.isFinite(focusMm) ? focusMm : undefined}
      aria-valuetext={mark.figure}
      onPointerUp={() => hold.end()}
      onFocus={() => {
        gesture.current = `keys-${mark.id}-${performance.now()}`;
        dispatch(itemSelected({ kind: 'mark', id: mark.id }));
      }}
      onKeyDown={(event) => {
        const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
        if (!up) return;
        event.preventDefault();
        set(nudgeDistance(focusMm, up * (event.shiftKey ? 10 : 1), units), gesture.current);
      }}
    >
      <path d={`M${right},${mark.y}h7L${right + 16},${mark.labelY}`} stroke={colour} />
      <rect x={right + 14} y={mark.labelY - 11} width={88} height={22} className={styles.grab} />
      <text x={right + 20} y={mark.labelY + 5} fill={colour} className={styles.markLetter}>
        {mark.letter}
      </text>
      <text x={right + 20 + mark.letter.length * 11 + 5} y={mark.labelY + 5} className={styles.markFigure}>
        {mark.figure}
      </text>
    </g>
  );
});

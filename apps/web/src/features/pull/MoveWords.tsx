import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { memoByValue } from '../../shared/memoByValue';
import { itemSelected } from '../shot/sessionSlice';
import type { PullChartLayout } from './pullChartLayout';
import styles from './PullChart.module.css';

/** Words of the pulls above the chart, with lines down to their starts. */
export function MoveWords({ layout }: { readonly layout: PullChartLayout }) {
  const selection = useAppSelector((state) => state.session.selection);
  const { pulls: moves, movesY } = layout;
  const { left, right } = layout;
  const shown = moves.filter(({ startX }) => startX > left - 1 && startX < right + 1);
  const isSelected = (id: string) => selection?.id === id;
  return (
    <>
      {shown.map(({ id, startX, countX, row }) => (
        <PullLines
          key={id}
          isSelected={isSelected(id)}
          startX={startX}
          countX={Math.max(countX, left)}
          bottom={layout.bottom}
          fromY={movesY}
          toY={row === null ? movesY : movesY + 15 + row * 20}
        />
      ))}
      {shown.map(
        ({ id, words, wordsX, row }) =>
          row !== null && (
            <PullWords key={id} id={id} isSelected={isSelected(id)} words={words} x={wordsX} y={movesY + 13 + row * 20} />
          ),
      )}
    </>
  );
}

interface PullLinesProps {
  readonly isSelected: boolean;
  readonly startX: number;
  readonly countX: number;
  readonly bottom: number;
  readonly fromY: number;
  readonly toY: number;
}

/** From the start of a pull to its words, and its count-in. */
const PullLines = memoByValue(function PullLines({ isSelected, startX, countX, bottom, fromY, toY }: PullLinesProps) {
  return (
    <g className={clsx(styles.moveWords, isSelected && styles.isSelected)}>
      <line x1={startX} x2={startX} y1={fromY} y2={toY} />
      <line x1={countX} x2={startX} y1={bottom} y2={bottom} className={styles.countIn} />
    </g>
  );
});

interface PullWordsProps {
  readonly id: string;
  readonly isSelected: boolean;
  readonly words: string;
  readonly x: number;
  readonly y: number;
}

const PullWords = memoByValue(function PullWords({ id, isSelected, words, x, y }: PullWordsProps) {
  const dispatch = useAppDispatch();
  return (
    <g
      className={clsx(styles.moveWords, isSelected && styles.isSelected)}
      onClick={() => dispatch(itemSelected({ kind: 'move', id }))}
    >
      <text x={x} y={y}>
        {words}
      </text>
    </g>
  );
});

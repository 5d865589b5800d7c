import type { FloorItem, Place, TapeShape, UnitSystem } from '@still-heron/core';
import clsx from 'clsx';
import type { FloorLayout } from './floorLayout';
import { ROW_PX } from './labelRows';
import type { Guide } from './snap';
import { useFloorDrag } from './useFloorDrag';
import styles from './FloorHandle.module.css';

export interface FloorHandleProps {
  readonly item: FloorItem;
  readonly label: string;
  readonly undoName: string;
  readonly letter: string;
  /** Row of the letter, above or below its usual place, where other letters are near */
  readonly labelRow: number;
  readonly colour: string;
  /** For a mark: shape of its tape, and its colour if known */
  readonly tapeShape?: TapeShape;
  readonly tapeColour?: string | null;
  readonly place: Place;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
  /** A tool is active or a move is previewed, so presses go to the floor */
  readonly isOutOfReach: boolean;
  readonly onGuides: (guides: readonly Guide[]) => void;
  readonly testId: string;
}

/** SVG path of each tape shape: toes go to the bar, the letter is beside it. */
const TAPES: Readonly<Record<TapeShape, string>> = {
  tee: 'M-8,7H8M0,7V15',
  cross: 'M-7,0L7,14M7,0L-7,14',
  corner: 'M-8,15V7H8V15',
  line: 'M-9,8H9',
  none: 'M-2,8H2',
};

/** A mark or a camera key that can be dragged or moved with arrow keys. */
export function FloorHandle(props: FloorHandleProps) {
  const {
    item,
    label,
    undoName,
    letter,
    labelRow,
    colour,
    tapeShape = 'tee',
    tapeColour = null,
    place,
    layout,
    pxPerMm,
    units,
    isOutOfReach,
    onGuides,
    testId,
  } = props;
  const { handlers, isHeld } = useFloorDrag({ item, name: undoName, pxPerMm, units, onGuides });
  const [x, y] = layout.toPx(place);
  const isMark = item.kind === 'mark';
  return (
    <g
      {...handlers}
      transform={`translate(${x},${y})`}
      className={clsx(styles.floorHandle, styles[`is-${item.kind}`], isHeld && styles.isHeld)}
      style={{ color: colour, pointerEvents: isOutOfReach ? 'none' : undefined }}
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={isHeld}
      data-testid={testId}
    >
      <rect x={-16} y={-16} width={32} height={32} rx={4} fill="transparent" />
      {isMark && tapeColour && <path d={TAPES[tapeShape]} className={clsx(styles.floorTape, styles.isEdge)} />}
      {isMark ? (
        <path d={TAPES[tapeShape]} className={styles.floorTape} style={{ stroke: tapeColour ?? undefined }} />
      ) : (
        <circle r={5} />
      )}
      {letter && (
        <text x={isMark ? 14 : 10} y={(isMark ? 18 : -9) + ROW_PX * labelRow}>
          {letter}
        </text>
      )}
    </g>
  );
}

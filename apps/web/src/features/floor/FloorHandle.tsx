import type { Place } from '@still-heron/core';
import { type KeyboardEvent, useRef } from 'react';
import { useDrag } from '../../charts/useDrag';
import type { FloorLayout } from './floorLayout';
import { newGesture } from '../../app/newGesture';

export interface FloorHandleProps {
  readonly kind: 'mark' | 'camera';
  readonly label: string;
  readonly letter: string;
  readonly colour: string;
  readonly place: Place;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
  /** A tool is held: presses are for the floor */
  readonly isHeld: boolean;
  readonly testId: string;
  readonly onSelect: () => void;
  readonly onMove: (place: Place, gesture: string) => void;
  readonly onGiveUp: (gesture: string) => void;
}

/** Arrow keys move by this, with Shift by ten times as much. */
const STEP_MM = 100;
/** A dragged thing goes to whole steps of this. */
const SNAP_MM = 50;

/** Where an arrow key leads from a place; null for another key. */
export function nudged(place: Place, key: string, isFar: boolean): Place | null {
  const by = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  if (!by) return null;
  const stepMm = STEP_MM * (isFar ? 10 : 1);
  return { xMm: place.xMm + by[0]! * stepMm, yMm: place.yMm + by[1]! * stepMm };
}

/** A dragged place, on the nearest whole step. */
export function snapped({ xMm, yMm }: Place): Place {
  return { xMm: Math.round(xMm / SNAP_MM) * SNAP_MM, yMm: Math.round(yMm / SNAP_MM) * SNAP_MM };
}

/** Dragging and nudging of anything that stands on the floor. */
export function useFloorMoves({
  place,
  pxPerMm,
  onMove,
  onGiveUp,
  onSelect,
}: Pick<FloorHandleProps, 'place' | 'pxPerMm' | 'onMove' | 'onGiveUp' | 'onSelect'>) {
  const grabbed = useRef(place);
  const gesture = useRef('');
  const drag = useDrag({
    onStart: () => (grabbed.current = place),
    onDrag: ({ dx, dy, gesture: name }) =>
      onMove(snapped({ xMm: grabbed.current.xMm + dx / pxPerMm, yMm: grabbed.current.yMm - dy / pxPerMm }), name),
    onGiveUp,
  });
  return {
    onPointerDown: (event: Parameters<typeof drag.onPointerDown>[0]) => {
      onSelect();
      drag.onPointerDown(event);
    },
    onFocus: () => {
      gesture.current = newGesture('floor');
      onSelect();
    },
    onKeyDown: (event: KeyboardEvent) => {
      const next = nudged(place, event.key, event.shiftKey);
      if (!next) return;
      event.preventDefault();
      onMove(next, gesture.current);
    },
  };
}

/** A mark or a key of the camera on the floor. */
export function FloorHandle(props: FloorHandleProps) {
  const { kind, label, letter, colour, place, layout, isHeld, testId } = props;
  const movesOf = useFloorMoves(props);
  const [x, y] = layout.toPx(place);
  return (
    <g
      {...movesOf}
      transform={`translate(${x},${y})`}
      className={`floor-handle is-${kind}`}
      style={{ color: colour, pointerEvents: isHeld ? 'none' : undefined }}
      role="button"
      tabIndex={0}
      aria-label={label}
      data-testid={testId}
    >
      <rect x={-16} y={-16} width={32} height={32} fill="transparent" />
      {kind === 'mark' ? <path d="M-8,7H8M0,7V15" className="floor-tape" /> : <circle r={5} />}
      {letter && (
        <text x={kind === 'mark' ? 14 : 10} y={kind === 'mark' ? 18 : -9}>
          {letter}
        </text>
      )}
    </g>
  );
}

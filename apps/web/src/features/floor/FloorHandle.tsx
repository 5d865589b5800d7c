import { MM_PER_INCH, type Place, type UnitSystem } from '@still-heron/core';
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
  readonly units: UnitSystem;
  /** A tool is held: presses are for the floor */
  readonly isHeld: boolean;
  readonly testId: string;
  readonly onSelect: () => void;
  readonly onMove: (place: Place, gesture: string) => void;
  readonly onGiveUp: (gesture: string) => void;
}

/** What an arrow key moves by, with Shift or without, and what a dragged thing goes to whole steps of: round figures in either unit. */
const STEPS_MM = {
  metric: { near: 100, far: 1000, drag: 50 },
  imperial: { near: 3 * MM_PER_INCH, far: 36 * MM_PER_INCH, drag: MM_PER_INCH },
};

/** Where an arrow key leads from a place; null for another key. */
export function nudged(place: Place, key: string, isFar: boolean, units: UnitSystem): Place | null {
  const by = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  if (!by) return null;
  const stepMm = STEPS_MM[units][isFar ? 'far' : 'near'];
  return { xMm: place.xMm + by[0]! * stepMm, yMm: place.yMm + by[1]! * stepMm };
}

/** A dragged place, on the nearest whole step. */
export function snapped({ xMm, yMm }: Place, units: UnitSystem): Place {
  const step = STEPS_MM[units].drag;
  return { xMm: Math.round(xMm / step) * step, yMm: Math.round(yMm / step) * step };
}

/** Dragging and nudging of anything that stands on the floor. */
export function useFloorMoves({
  place,
  pxPerMm,
  units,
  onMove,
  onGiveUp,
  onSelect,
}: Pick<FloorHandleProps, 'place' | 'pxPerMm' | 'units' | 'onMove' | 'onGiveUp' | 'onSelect'>) {
  const grabbed = useRef(place);
  const gesture = useRef('');
  const drag = useDrag({
    onStart: () => (grabbed.current = place),
    onDrag: ({ dx, dy, gesture: name }) =>
      onMove(snapped({ xMm: grabbed.current.xMm + dx / pxPerMm, yMm: grabbed.current.yMm - dy / pxPerMm }, units), name),
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
      const next = nudged(place, event.key, event.shiftKey, units);
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

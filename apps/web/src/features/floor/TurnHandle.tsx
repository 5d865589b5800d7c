import type { KeyboardEvent } from 'react';
import { useRef } from 'react';
import { newGesture } from '../../shared/gestures/newGesture';
import { useDrag } from '../../shared/gestures/useDrag';
import { turnedTo } from './turnedTo';
import styles from './TurnHandle.module.css';

interface Props {
  /** Name of what is turned */
  readonly name: string;
  /** Its middle, in pixels of the drawing */
  readonly at: readonly [number, number];
  readonly armPx: number;
  readonly turnedDeg: number;
  readonly onTurn: (turnedDeg: number, gesture: string) => void;
  readonly onGiveUp: (gesture: string) => void;
}

/** Steps of the arrow keys, with and without Shift. */
const STEPS_DEG = { near: 1, far: 15 };

/** An arm with a knob that turns a thing about its middle: dragged, in steps of 5° unless Alt is held, or by arrow keys. */
export function TurnHandle({ name, at: [x, y], armPx, turnedDeg, onTurn, onGiveUp }: Props) {
  const knob = useRef<SVGGElement>(null);
  const gesture = useRef('');
  const drag = useDrag({
    onDrag: ({ clientX, clientY, isAlt, gesture: dragged }) => {
      const box = knob.current!.ownerSVGElement!.getBoundingClientRect();
      onTurn(turnedTo([clientX - box.left - x, clientY - box.top - y], turnedDeg, isAlt), dragged);
    },
    onGiveUp,
  });
  function onKeyDown(event: KeyboardEvent): void {
    const step = { ArrowLeft: 1, ArrowUp: 1, ArrowRight: -1, ArrowDown: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onTurn(Math.round(turnedDeg) + step * STEPS_DEG[event.shiftKey ? 'far' : 'near'], gesture.current);
  }
  return (
    <g
      ref={knob}
      transform={`translate(${x},${y}) rotate(${-turnedDeg})`}
      className={styles.turn}
      role="slider"
      tabIndex={0}
      aria-label={`Turn ${name}`}
      aria-valuenow={Math.round(turnedDeg)}
      aria-valuetext={`${Math.round(turnedDeg)}°`}
      data-testid="turn-handle"
      onPointerDown={drag.onPointerDown}
      onFocus={() => (gesture.current = newGesture('turn'))}
      onKeyDown={onKeyDown}
    >
      <line x1={0} y1={0} x2={armPx} y2={0} />
      <circle cx={armPx} cy={0} r={18} className={styles.reach} />
      <circle cx={armPx} cy={0} r={7} />
    </g>
  );
}

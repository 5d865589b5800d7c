import { WHEEL_DEG } from '@still-heron/core';
import { type PointerEvent as ReactPointerEvent, useEffect, useRef } from 'react';
import { useKeys } from '../../shared/keys/useKeys';
import styles from './WheelPad.module.css';

interface Props {
  readonly ringDeg: number;
  /** 1 if the ring angle grows towards near, else -1: right is always nearer */
  readonly nearerSign: 1 | -1;
  readonly onTurn: (wheelDeg: number) => void;
}

/** Ridges of the drawn wheel in degrees, and pixels per degree. */
const RIDGE_DEG = 6;
const PX_PER_DEG = 1 / WHEEL_DEG.perPixel;
const RIDGES = 100;

/** Simulated hand wheel, seen from its edge: dragged, scrolled, or turned with arrow keys. */
export function WheelPad({ ringDeg, nearerSign, onTurn }: Props) {
  const pad = useRef<HTMLDivElement>(null);
  const turn = useRef(onTurn);
  useEffect(() => {
    turn.current = (wheelDeg) => onTurn(nearerSign * wheelDeg);
  });
  useKeys('left, right, shift+left, shift+right', ({ key, shiftKey }) => {
    const step = shiftKey ? WHEEL_DEG.perFastKey : WHEEL_DEG.perKey;
    turn.current(key === 'ArrowRight' ? step : -step);
  });
  useEffect(() => {
    const element = pad.current!;
    // React's listeners are passive and could not prevent scrolling
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      turn.current((event.deltaY || event.deltaX) * WHEEL_DEG.perScroll);
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, []);

  function onPointerDown(event: ReactPointerEvent<HTMLDivElement>): void {
    event.currentTarget.setPointerCapture(event.pointerId);
  }
  function onPointerMove(event: ReactPointerEvent<HTMLDivElement>): void {
    if (event.currentTarget.hasPointerCapture(event.pointerId)) turn.current(event.movementX * WHEEL_DEG.perPixel);
  }
  const shift = (nearerSign * ringDeg * PX_PER_DEG) % (RIDGE_DEG * PX_PER_DEG);
  return (
    <div
      ref={pad}
      className={styles.wheelPad}
      role="slider"
      tabIndex={0}
      aria-label="Simulated wheel"
      aria-valuenow={Math.round(ringDeg * 10) / 10}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
    >
      <svg width="100%" height="100%" aria-hidden="true">
        <g transform={`translate(${shift} 0)`}>
          {Array.from({ length: RIDGES }, (_, k) => (
            <line key={k} x1={(k - 1) * RIDGE_DEG * PX_PER_DEG} x2={(k - 1) * RIDGE_DEG * PX_PER_DEG} y1="18%" y2="82%" />
          ))}
        </g>
      </svg>
      <span>farther</span>
      <span>wheel · simulated</span>
      <span>nearer</span>
    </div>
  );
}

import { type PointerEvent as ReactPointerEvent, useEffect, useRef } from 'react';
import { dragging } from './dragging';
import { newGesture } from './newGesture';

export interface DragHandlers {
  /** @param event - in page coordinates; `dx`, `dy` relative to the start of the drag */
  readonly onDrag: (move: { dx: number; dy: number; clientX: number; clientY: number; isAlt: boolean; gesture: string }) => void;
  readonly onStart?: () => void;
  /** The pointer was released after a drag */
  readonly onEnd?: () => void;
  /** Escape, or the browser cancelled the pointer: restore the previous state */
  readonly onGiveUp?: (gesture: string) => void;
}

/** Movement from which a press counts as a drag, so that a click only selects. */
const SLACK_PX = 3;

/** Makes an element draggable: spread the result on it. Escape cancels the drag. */
export function useDrag(handlers: DragHandlers) {
  const current = useRef(handlers);
  const endCurrent = useRef<(() => void) | null>(null);
  useEffect(() => {
    current.current = handlers;
  });
  useEffect(() => () => endCurrent.current?.(), []);

  function onPointerDown(event: ReactPointerEvent<Element>): void {
    if (event.button !== 0) return;
    event.stopPropagation();
    const { clientX: startX, clientY: startY, pointerId } = event;
    const element = event.currentTarget;
    const gesture = newGesture('drag');
    let isDragging = false;
    element.setPointerCapture(pointerId);

    const onMove = (move: Event): void => {
      const { clientX, clientY, altKey } = move as PointerEvent;
      const [dx, dy] = [clientX - startX, clientY - startY];
      if (!isDragging && Math.hypot(dx, dy) < SLACK_PX) return;
      if (!isDragging) {
        dragging.set(true);
        current.current.onStart?.();
      }
      isDragging = true;
      current.current.onDrag({ dx, dy, clientX, clientY, isAlt: altKey, gesture });
    };
    const end = (): void => {
      element.removeEventListener('pointermove', onMove);
      element.removeEventListener('pointerup', release);
      element.removeEventListener('pointercancel', giveUp);
      window.removeEventListener('keydown', onKey, true);
      endCurrent.current = null;
      if (isDragging) dragging.set(false);
    };
    const release = (): void => {
      end();
      if (isDragging) current.current.onEnd?.();
    };
    const giveUp = (): void => {
      end();
      if (isDragging) current.current.onGiveUp?.(gesture);
    };
    const onKey = (key: KeyboardEvent): void => {
      if (key.key !== 'Escape') return;
      key.stopPropagation();
      giveUp();
    };
    endCurrent.current = end;
    element.addEventListener('pointermove', onMove);
    element.addEventListener('pointerup', release);
    element.addEventListener('pointercancel', giveUp);
    window.addEventListener('keydown', onKey, true);
  }

  return { onPointerDown };
}

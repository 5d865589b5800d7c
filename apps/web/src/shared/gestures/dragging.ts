import { useEffect, useState, useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
let isDragging = false;

/** Whether something on the page is being dragged. */
export const dragging = {
  set(now: boolean): void {
    isDragging = now;
    listeners.forEach((listener) => listener());
  },
  is: () => isDragging,
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** The hand rests when nothing has changed for this long. */
const REST_MS = 180;

/**
 * A value for parts of the page that take no part in a drag: during one they follow when the hand rests, so that what is dragged keeps up with
 * the pointer. Otherwise they follow at once; a field that is typed in must show what was typed.
 */
export function useAfterDrag<T>(value: T): T {
  const isHeld = useSyncExternalStore(dragging.subscribe, dragging.is);
  const [rested, setRested] = useState(value);
  useEffect(() => {
    if (!isHeld) return setRested(value);
    const timer = setTimeout(() => setRested(value), REST_MS);
    return () => clearTimeout(timer);
  }, [value, isHeld]);
  return isHeld ? rested : value;
}

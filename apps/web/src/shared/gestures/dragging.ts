import { useDeferredValue, useSyncExternalStore } from 'react';

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

/**
 * A value for parts of the page that take no part in a drag: during one they follow when there is time, so that what is dragged keeps up with
 * the pointer. Otherwise they follow at once; a field that is typed in must show what was typed.
 */
export function useAfterDrag<T>(value: T): T {
  const later = useDeferredValue(value);
  return useSyncExternalStore(dragging.subscribe, dragging.is) ? later : value;
}

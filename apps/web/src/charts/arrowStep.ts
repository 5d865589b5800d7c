import type { KeyboardEvent } from 'react';

/** Which way an arrow key turns something: 1 to the right or up, -1 to the left or down; 0 for any other key. An arrow then does nothing else. */
export function arrowStep(event: KeyboardEvent): -1 | 0 | 1 {
  const by = ({ ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 } as const)[event.key] ?? 0;
  if (by !== 0) event.preventDefault();
  return by;
}

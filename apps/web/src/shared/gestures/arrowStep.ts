import type { KeyboardEvent } from 'react';

/** Direction of an arrow key: 1 for right or up, -1 for left or down, 0 for other keys. Prevents its default action. */
export function arrowStep(event: KeyboardEvent): -1 | 0 | 1 {
  const by = ({ ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 } as const)[event.key] ?? 0;
  if (by !== 0) event.preventDefault();
  return by;
}

import type { KeyboardEvent } from 'react';

/**
 * Time that a key moves the playhead: an arrow one frame, with Shift ten, Page Up and Page Down a second. Prevents the default
 * action of these keys.
 *
 * @returns seconds; 0 for other keys
 */
export function playheadStep(event: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'preventDefault'>, captureFps: number): number {
  const arrow = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
  const page = { PageUp: 1, PageDown: -1 }[event.key];
  const stepS = arrow ? (arrow * (event.shiftKey ? 10 : 1)) / captureFps : (page ?? 0);
  if (stepS !== 0) event.preventDefault();
  return stepS;
}

let count = 0;

/** Unique name for one gesture: edits with the same name are one undo step. */
export function newGesture(what: string): string {
  return `${what}-${++count}`;
}

let count = 0;

/** A name of its own for what one hand does without letting go: edits with the same name are one step of undo. */
export function newGesture(what: string): string {
  return `${what}-${++count}`;
}

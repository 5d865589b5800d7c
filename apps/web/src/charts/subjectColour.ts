/** CSS colour of a subject by its index; four colours repeat. Muted for a mark without subject (-1). */
export function subjectColour(index: number): string {
  return index < 0 ? 'var(--text-muted)' : `var(--subject-${(index % 4) + 1})`;
}

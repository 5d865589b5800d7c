/** The colour of the subject at that place in the plan, of four that take turns; muted for a mark that is nobody's (-1). */
export function currentColour(index: number): string {
  return index < 0 ? 'var(--haze)' : `var(--current-${index % 4})`;
}

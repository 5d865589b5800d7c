/** Places labels at least `gap` apart, as near to their own heights as possible. */
export function apart<T extends { readonly y: number }>(
  items: readonly T[],
  gap: number,
  lowest: number,
): (T & { readonly labelY: number })[] {
  const order = items.map((_, index) => index).sort((a, b) => items[a]!.y - items[b]!.y);
  const heights = new Array<number>(items.length);
  let above = -Infinity;
  for (const index of order) above = heights[index] = Math.max(items[index]!.y, above + gap);
  let below = lowest;
  for (const index of [...order].reverse()) {
    heights[index] = Math.min(heights[index]!, below);
    below = heights[index]! - gap;
  }
  return items.map((item, index) => ({ ...item, labelY: heights[index]! }));
}

/** First row without overlap for each label, from left to right. */
export function rowsOf(labels: readonly { readonly x: number; readonly width: number }[]): number[] {
  const ends: number[] = [];
  return labels.map(({ x, width }) => {
    const free = ends.findIndex((end) => end <= x);
    const row = free < 0 ? ends.length : free;
    ends[row] = x + width;
    return row;
  });
}

/** Height of a row of labels, in pixels. */
export const ROW_PX = 16;

/**
 * By place, the row of its label: labels of places close together stand in rows, so that none is printed over another.
 *
 * @param places - in pixels; null without a label
 * @param widthPx - width of a label
 */
export function labelRows(places: readonly (readonly [number, number] | null)[], widthPx: number): number[] {
  const taken: (readonly [number, number])[] = [];
  return places.map((place) => {
    if (!place) return 0;
    const [x, y] = place;
    let row = 0;
    while (taken.some(([otherX, otherY]) => Math.abs(otherX - x) < widthPx && Math.abs(otherY - (y + row * ROW_PX)) < ROW_PX))
      row++;
    taken.push([x, y + row * ROW_PX]);
    return row;
  });
}

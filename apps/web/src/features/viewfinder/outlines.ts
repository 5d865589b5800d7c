/** How an outlining aid is set: how readily it draws, and how fine the detail is that it looks at. */
export interface OutlineSettings {
  /** 0 to 1 */
  readonly strength: number;
  /** Pixels between what is compared: 1 for fine detail, more for coarse */
  readonly detail: 1 | 2 | 3;
}

/** The steepest contrast from pixel to pixel that no strength outlines, and the least that the strongest does, of 255. */
const LEAST_CONTRAST = 10;
const MOST_CONTRAST = 110;

/**
 * Which pixels an outlining aid would mark. It knows nothing of focus: it looks for contrast over a few pixels, and so marks a strong edge that is a little soft, and misses what is sharp and flat.
 *
 * @param pixels - RGBA, four bytes a pixel, row by row
 * @returns 1 for a marked pixel, row by row
 */
export function outlined(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  { strength, detail }: OutlineSettings,
): Uint8Array {
  const marked = new Uint8Array(width * height);
  // coarse detail is compared over a longer way, and so sees a soft edge whole
  const needed = MOST_CONTRAST - (MOST_CONTRAST - LEAST_CONTRAST) * strength;
  const brightness = (x: number, y: number) => {
    const at = 4 * (y * width + x);
    return 0.2126 * pixels[at]! + 0.7152 * pixels[at + 1]! + 0.0722 * pixels[at + 2]!;
  };
  for (let y = detail; y < height - detail; y++)
    for (let x = detail; x < width - detail; x++) {
      const across = Math.abs(brightness(x + detail, y) - brightness(x - detail, y));
      const down = Math.abs(brightness(x, y + detail) - brightness(x, y - detail));
      if (Math.max(across, down) >= needed) marked[y * width + x] = 1;
    }
  return marked;
}

/** Peaking settings: strength and fineness of detail. */
export interface PeakingSettings {
  /** 0 to 1 */
  readonly strength: number;
  /** Distance of compared pixels: 1 for fine detail, more for coarse */
  readonly detail: 1 | 2 | 3;
}

/** Contrast thresholds at the lowest and the highest strength, of 255. */
const MIN_CONTRAST = 10;
const MAX_CONTRAST = 110;

/**
 * Pixels that peaking would mark. It detects contrast, not focus: it marks a strong edge that is slightly soft, and misses
 * low-contrast detail that is sharp.
 *
 * @param pixels - RGBA, four bytes per pixel, row by row
 * @returns 1 for a marked pixel, row by row
 */
export function peakingMask(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  { strength, detail }: PeakingSettings,
): Uint8Array {
  const marked = new Uint8Array(width * height);
  // coarse detail is compared over a longer distance, and so includes a whole soft edge
  const needed = MAX_CONTRAST - (MAX_CONTRAST - MIN_CONTRAST) * strength;
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

/** Opacity of each pixel, 0 to 1, row by row; length `width * height`. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly alpha: Float32Array;
}

/**
 * Convolves a mask with a disc, like a defocused lens.
 *
 * Works with running sums: a disc is a stack of rows, and each row is a difference of two sums. Rows and ends are fractional,
 * so that the disc grows smoothly.
 *
 * @param diameterPx - at least 0; below one pixel the mask is unchanged
 */
export function discBlur({ width, height, alpha }: Mask, diameterPx: number): Mask {
  const radius = diameterPx / 2;
  if (diameterPx < 1) return { width, height, alpha };
  const sums = new Float64Array((width + 1) * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) sums[y * (width + 1) + x + 1] = sums[y * (width + 1) + x]! + alpha[y * width + x]!;
  /**
   * Sum of a row up to a fractional position. Beyond the edges the edge value continues, so that a cut figure does not fade
   * there.
   */
  const before = (y: number, place: number): number => {
    if (place < 0) return place * alpha[y * width]!;
    if (place >= width) return sums[y * (width + 1) + width]! + (place - width) * alpha[y * width + width - 1]!;
    const whole = Math.floor(place);
    return sums[y * (width + 1) + whole]! + (place - whole) * alpha[y * width + whole]!;
  };
  const slices = slicesOf(radius);
  const area = slices.reduce((sum, { weight, half }) => sum + 2 * weight * half, 0);
  const blurred = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (const { row, weight, half } of slices) {
        const from = Math.min(Math.max(y + row, 0), height - 1);
        sum += weight * (before(from, x + 0.5 + half) - before(from, x + 0.5 - half));
      }
      blurred[y * width + x] = sum / area;
    }
  }
  return { width, height, alpha: blurred };
}

/** A row of a disc: offset from the centre, coverage of the pixel row, and mean half width. */
interface Slice {
  readonly row: number;
  readonly weight: number;
  readonly half: number;
}

function slicesOf(radius: number): Slice[] {
  // integral of the semicircle
  const under = (at: number) =>
    (at * Math.sqrt(Math.max(radius * radius - at * at, 0)) + radius * radius * Math.asin(at / radius)) / 2;
  const rows = Math.ceil(radius);
  return Array.from({ length: 2 * rows + 1 }, (_, k) => k - rows).flatMap((row) => {
    const [from, to] = [Math.max(row - 0.5, -radius), Math.min(row + 0.5, radius)];
    return to <= from ? [] : [{ row, weight: to - from, half: (under(to) - under(from)) / (to - from) }];
  });
}

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
 * so that the disc grows smoothly. Beyond the edges the edge value continues, so that a cut figure does not fade there.
 *
 * @param diameterPx - at least 0; below one pixel the mask is unchanged
 */
export function discBlur(mask: Mask, diameterPx: number): Mask {
  if (diameterPx < 1) return mask;
  const { width, height } = mask;
  const slices = slicesOf(diameterPx / 2);
  const area = slices.reduce((sum, { weight, half }) => sum + 2 * weight * half, 0);
  const rows = rowsOf(mask, Math.ceil(diameterPx / 2) + 1);
  const blurred = new Float32Array(width * height);
  const sum = new Float64Array(width);
  for (let y = 0; y < height; y++) {
    sum.fill(0);
    for (const { row, weight, half } of slices) {
      const from = Math.min(Math.max(y + row, 0), height - 1);
      if (rows.isEmpty[from] === 0) addSlice(sum, rows, from, { weight, half });
    }
    for (let x = 0; x < width; x++) blurred[y * width + x] = sum[x]! / area;
  }
  return { width, height, alpha: blurred };
}

/** Rows of a mask with their edge values continued by `margin` pixels, and with the sum of each row up to each pixel. */
interface Rows {
  readonly margin: number;
  /** Length of a row with both margins */
  readonly length: number;
  readonly alpha: Float64Array;
  readonly sums: Float64Array;
  /** 1 for a row without anything in it */
  readonly isEmpty: Uint8Array;
}

function rowsOf({ width, height, alpha }: Mask, margin: number): Rows {
  const length = width + 2 * margin;
  const rows = { alpha: new Float64Array(length * height), sums: new Float64Array(length * height) };
  const isEmpty = new Uint8Array(height).fill(1);
  for (let y = 0; y < height; y++) {
    let sum = 0;
    for (let place = 0; place < length; place++) {
      const value = alpha[y * width + Math.min(Math.max(place - margin, 0), width - 1)]!;
      rows.alpha[y * length + place] = value;
      rows.sums[y * length + place] = sum;
      sum += value;
    }
    if (sum > 0) isEmpty[y] = 0;
  }
  return { ...rows, margin, length, isEmpty };
}

/** Adds a row of the disc at each pixel: the difference of the sums up to its two ends. */
function addSlice(
  to: Float64Array,
  { margin, length, alpha, sums }: Rows,
  row: number,
  { weight, half }: Pick<Slice, 'weight' | 'half'>,
): void {
  const [left, right] = [Math.floor(0.5 - half), Math.floor(0.5 + half)];
  const [leftPart, rightPart] = [0.5 - half - left, 0.5 + half - right];
  let leftAt = row * length + margin + left;
  let rightAt = row * length + margin + right;
  for (let x = 0; x < to.length; x++, leftAt++, rightAt++)
    to[x]! += weight * (sums[rightAt]! + rightPart * alpha[rightAt]! - sums[leftAt]! - leftPart * alpha[leftAt]!);
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

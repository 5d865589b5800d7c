/** One number of each item as a column. */
export const reals = <T>(items: readonly T[], of: (item: T) => number) => Float64Array.from(items, of);
export const whole = <T>(items: readonly T[], of: (item: T) => number) => Int32Array.from(items, of);

/** Columns one after the other as one. */
export function concatenated(parts: readonly Float64Array[]): Float64Array {
  const whole = new Float64Array(parts.reduce((length, part) => length + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

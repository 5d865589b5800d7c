/** Rounds down, for either sign up to 2^31. A plain conversion checks for overflow, which takes longer than everything else. */
export function floorOf(value: f64): i32 {
  return <i32>reinterpret<i64>(value - 0.4999999999 + 6755399441055744);
}

/** Limits a value to a range. */
export function within(value: f64, low: f64, high: f64): f64 {
  return value < low ? low : value > high ? high : value;
}

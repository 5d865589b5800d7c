/** Width of the moving average: a whole period of a tremor of 10 Hz. */
const AVERAGE_S = 0.1;

/**
 * Removes the tremor of a hand and the steps of an encoder: a moving average of 0.1 s, applied twice. Of a tremor of 8 to 12 Hz at most
 * a fifteenth is left. The average is symmetric, so that nothing is delayed; an edge is spread over 0.2 s.
 *
 * @param degs - evenly sampled
 * @param hz - samples per second, > 0
 */
export function smoothed(degs: Float64Array, hz: number): Float64Array {
  const half = Math.floor((AVERAGE_S * hz) / 2);
  return half < 1 ? degs : averaged(averaged(degs, half), half);
}

/** Mean of each sample with as many on both sides; near an end of as many as there are on the shorter side. */
function averaged(degs: Float64Array, half: number): Float64Array {
  const sums = new Float64Array(degs.length + 1);
  for (let k = 0; k < degs.length; k++) sums[k + 1] = sums[k]! + degs[k]!;
  const means = new Float64Array(degs.length);
  for (let k = 0; k < degs.length; k++) {
    const reach = Math.min(half, k, degs.length - 1 - k);
    means[k] = (sums[k + reach + 1]! - sums[k - reach]!) / (2 * reach + 1);
  }
  return means;
}

import { put, real } from './columns';

/** Address of the segments of the normal quantile: `QUANTILE_ADDRESS` of `trialLoop.ts`. */
const QUANTILE_ADDRESS: usize = 1024;
/** As in `draws.ts`. */
const CELLS: u32 = 4096;
const TAIL_CELLS: u32 = 4;
const CELL_BITS: u32 = 20;
const CELL_MASK: u32 = (1 << CELL_BITS) - 1;

/** The quantile's formula for the tails. */
declare function tailQuantile(p: f64): f64;

/** Writes the normal numbers of a trial to consecutive memory. */
export function draw(seed: u32, take: u32, address: usize, count: i32): void {
  let s0 = stateOf(seed, take, 0);
  let s1 = stateOf(seed, take, 1);
  let s2 = stateOf(seed, take, 2);
  let s3 = stateOf(seed, take, 3);
  // a state of all zeros would never change
  if ((s0 | s1 | s2 | s3) == 0) s0 = 1;
  for (let k = 0; k < count; k++) {
    const result = rotl<u32>(s1 * 5, 7) * 9;
    const shifted = s1 << 9;
    s2 ^= s0;
    s3 ^= s1;
    s1 ^= s2;
    s0 ^= s3;
    s2 ^= shifted;
    s3 = rotl<u32>(s3, 11);
    const cell = result >> CELL_BITS;
    const line = QUANTILE_ADDRESS + (cell << 4);
    // the outermost cells are too curved for segments: use the formula
    if (((cell + TAIL_CELLS) & (CELLS - 1)) < 2 * TAIL_CELLS) put(address, k, tailQuantile((<f64>result + 0.5) / 4294967296));
    else put(address, k, load<f64>(line) + <f64>(result & CELL_MASK) * load<f64>(line, 8));
  }
}

/**
 * Writes the normal numbers of a set-up: points of a Kronecker sequence with a random start, which fill the space of errors more
 * evenly than independent draws. The number of set-ups is small, and their mean would be rough otherwise.
 *
 * @param steps - address of the steps of the sequence, one per number
 */
export function drawSetup(seed: u32, setup: u32, steps: usize, address: usize, count: i32): void {
  for (let k = 0; k < count; k++) {
    const start = (<f64>spread(spread(seed + 0x51ed270b) ^ (<u32>(k + 1))) + 0.5) / 4294967296;
    const at = start + <f64>setup * real(steps, k);
    const p = at - Math.floor(at);
    put(address, k, tailQuantile(p < 1e-12 ? 1e-12 : p));
  }
}

function stateOf(seed: u32, take: u32, k: u32): u32 {
  return spread(spread(seed + (k + 1) * 0x9e3779b9) ^ ((take + 1) * (0x6a09e667 + 2 * k)));
}

/** Mixes the bits of a number. */
export function spread(value: u32): u32 {
  let x = (value ^ (value >> 16)) * 0x85ebca6b;
  x = (x ^ (x >> 13)) * 0xc2b2ae35;
  return x ^ (x >> 16);
}

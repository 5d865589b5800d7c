import { normalQuantile, quantileLines } from './draws.js';
import type { Column, FlatTakes } from './flatTakes.js';
import { LOOP_BYTES } from './loopBytes.js';

/** Exports of the compiled loop; see its source `loop/trialLoop.ts`. */
interface Loop {
  readonly memory: { readonly buffer: ArrayBuffer; grow(pages: number): number };
  run(seed: number, firstTake: number, takes: number, countOnly: boolean): number;
  draw(seed: number, take: number, address: number, count: number): void;
}

/** The part of WebAssembly used here. Every browser and Node have it, but the ES library does not declare it. */
declare const WebAssembly: {
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Instance: new (module: object, imports: object) => { readonly exports: unknown };
};

/** Bytes per page of WebAssembly memory. */
const PAGE = 65_536;
/** Memory layout: addresses of columns, then quantile segments, then the columns of a plan. */
const LINES_AT = 1024;
const COLUMNS_AT = LINES_AT + PAGE;

let started: Loop | null = null;
/** The plan whose columns are in memory, and their addresses. */
let loaded: { readonly flat: FlatTakes; readonly addresses: readonly number[] } | null = null;

/** Counts of a run of the loop, as in `TrialCounts`. */
export interface LoopCounts {
  readonly kept: number;
  readonly beatsKept: Int32Array;
  readonly sharp: Int32Array;
}

/** Runs the compiled loop over the columns of a plan; seed and trial numbers as in `runTrials`. */
export function runLoop(flat: FlatTakes, seed: number, firstTake: number, takes: number, countOnly: boolean): LoopCounts {
  const loop = theLoop();
  if (loaded?.flat !== flat) loaded = { flat, addresses: bring(loop, flat) };
  const { addresses } = loaded;
  const counts = (at: number) => new Int32Array(loop.memory.buffer, addresses[at]!, flat.columns[at]!.length);
  counts(flat.lostInAt).fill(-1);
  const beatsKept = counts(flat.beatsKeptAt).fill(0);
  const sharp = counts(flat.sharpAt).fill(0);
  const kept = loop.run(seed, firstTake, takes, countOnly);
  return { kept, beatsKept: beatsKept.slice(), sharp: sharp.slice() };
}

/**
 * Standard normal numbers of a trial, as the loop draws them. They depend only on the seed and the trial number, so workers can
 * share the trials.
 *
 * @param seed, trial - whole numbers; their lower 32 bits count
 * @param count - number of values
 * Source: xoshiro128** of Blackman and Vigna, SCRAMBLED LINEAR PSEUDORANDOM NUMBER GENERATORS, 2021. Its state is derived from
 * seed and trial by the finaliser of MurmurHash3.
 */
export function drawnNumbers(seed: number, take: number, count: number): Float64Array {
  const loop = theLoop();
  loaded = null;
  grow(loop, COLUMNS_AT + 8 * count);
  loop.draw(seed, take, COLUMNS_AT, count);
  return new Float64Array(loop.memory.buffer, COLUMNS_AT, count).slice();
}

function theLoop(): Loop {
  if (started) return started;
  const bytes = Uint8Array.from({ length: LOOP_BYTES.length / 2 }, (_, k) => parseInt(LOOP_BYTES.slice(2 * k, 2 * k + 2), 16));
  const imports = { draws: { tailQuantile: normalQuantile } };
  const loop = new WebAssembly.Instance(new WebAssembly.Module(bytes), imports).exports as Loop;
  grow(loop, COLUMNS_AT);
  const lines = quantileLines();
  new Float64Array(loop.memory.buffer, LINES_AT, lines.length).set(lines);
  return (started = loop);
}

/** Copies the columns of a plan into the loop's memory and stores their addresses there. */
function bring(loop: Loop, { numbers, counts, columns }: FlatTakes): number[] {
  const addresses: number[] = [];
  let end = COLUMNS_AT;
  for (const { byteLength } of columns) {
    addresses.push(end);
    end += aligned(byteLength);
  }
  grow(loop, end);
  const { buffer } = loop.memory;
  new Float64Array(buffer, 0, numbers.length).set(numbers);
  new Int32Array(buffer, 8 * numbers.length, counts.length + addresses.length).set([...counts, ...addresses]);
  for (const [k, column] of columns.entries()) viewLike(column, buffer, addresses[k]!).set(column);
  return addresses;
}

function viewLike(column: Column, buffer: ArrayBuffer, address: number): Column {
  const Kind = column.constructor as new (buffer: ArrayBuffer, address: number, length: number) => Column;
  return new Kind(buffer, address, column.length);
}

/** Next aligned address for a column. */
function aligned(bytes: number): number {
  return Math.ceil(bytes / 16) * 16;
}

function grow(loop: Loop, bytes: number): void {
  const missing = bytes - loop.memory.buffer.byteLength;
  if (missing > 0) loop.memory.grow(Math.ceil(missing / PAGE));
}

import { normalQuantile, quantileLines } from './normalQuantile.js';
import type { Column, TrialColumns } from './trialColumns.js';
import { LOOP_BYTES } from './loopBytes.js';

/** Exports of the compiled loop; see its source `loop/trialLoop.ts`. */
interface Loop {
  readonly memory: { readonly buffer: ArrayBuffer; grow(pages: number): number };
  run(seed: number, firstTrial: number, takes: number, countOnly: boolean): number;
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
const QUANTILE_ADDRESS = 1024;
const COLUMNS_ADDRESS = QUANTILE_ADDRESS + PAGE;

/** Counts of a run of the loop, as in `TrialCounts`. */
export interface LoopCounts {
  readonly kept: number;
  readonly beatsKept: Int32Array;
  readonly sharp: Int32Array;
  readonly setupsKept: Int32Array;
}

/** Consecutive trials; a trial depends only on its number and the seed. */
export interface TrialRange {
  readonly first: number;
  readonly count: number;
}

/** The compiled loop with a memory of its own. */
export interface TrialLoop {
  /** Runs trials over the columns of a plan; seed and trial numbers as in `runTrials`. */
  run(columns: TrialColumns, seed: number, trials: TrialRange, countOnly: boolean): LoopCounts;
  /**
   * Standard normal numbers of a trial. They depend only on the seed and the trial number, so workers can share the trials.
   *
   * @param seed, trial - whole numbers; their lower 32 bits count
   * @param count - number of values
   * Source: xoshiro128** of Blackman and Vigna, SCRAMBLED LINEAR PSEUDORANDOM NUMBER GENERATORS, 2021. Its state is derived from
   * seed and trial by the finaliser of MurmurHash3.
   */
  draws(seed: number, trial: number, count: number): Float64Array;
}

/** Starts a loop. It keeps the columns of its last plan, so that several runs of one plan copy them once. */
export function createTrialLoop(): TrialLoop {
  const loop = start();
  let loaded: { readonly columns: TrialColumns; readonly addresses: readonly number[] } | null = null;
  return {
    run(columns, seed, { first, count }, countOnly) {
      if (loaded?.columns !== columns) loaded = { columns, addresses: loadColumns(loop, columns) };
      const { addresses } = loaded;
      const resultsOf = (name: Parameters<TrialColumns['indexOf']>[0]) => {
        const at = columns.indexOf(name);
        return new Int32Array(loop.memory.buffer, addresses[at]!, columns.columns[at]!.length);
      };
      resultsOf('lostIn').fill(-1);
      const beatsKept = resultsOf('beatsKept').fill(0);
      const sharp = resultsOf('sharp').fill(0);
      const setupsKept = resultsOf('setupsKept').fill(0);
      const kept = loop.run(seed, first, count, countOnly);
      return { kept, beatsKept: beatsKept.slice(), sharp: sharp.slice(), setupsKept: setupsKept.slice() };
    },
    draws(seed, trial, count) {
      loaded = null;
      grow(loop, COLUMNS_ADDRESS + 8 * count);
      loop.draw(seed, trial, COLUMNS_ADDRESS, count);
      return new Float64Array(loop.memory.buffer, COLUMNS_ADDRESS, count).slice();
    },
  };
}

function start(): Loop {
  const bytes = Uint8Array.from({ length: LOOP_BYTES.length / 2 }, (_, k) => parseInt(LOOP_BYTES.slice(2 * k, 2 * k + 2), 16));
  const imports = { draws: { tailQuantile: normalQuantile } };
  const loop = new WebAssembly.Instance(new WebAssembly.Module(bytes), imports).exports as Loop;
  grow(loop, COLUMNS_ADDRESS);
  const lines = quantileLines();
  new Float64Array(loop.memory.buffer, QUANTILE_ADDRESS, lines.length).set(lines);
  return loop;
}

/** Copies the columns of a plan into the loop's memory and stores their addresses there. */
function loadColumns(loop: Loop, { numbers, counts, columns }: TrialColumns): number[] {
  const addresses: number[] = [];
  let end = COLUMNS_ADDRESS;
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

import { setImmediate } from 'node:timers/promises';
import type { KeepRateView, StopRateView } from '@still-heron/contract';
import {
  drawLayoutOf,
  type DrawLayout,
  keepRateOf,
  mergeCounts,
  prepareTrials,
  runTrials,
  type ShotPlan,
  stopsToCompare,
  type TrialCounts,
  withStop,
} from '@still-heron/core';
import type { Task } from '../work/task.js';

/** Trials between two turns of the event loop: some milliseconds for a long shot. */
const TAKES_AT_ONCE = 100;

export interface RateOrder {
  readonly plan: ShotPlan;
  readonly takes: number;
  readonly seed: number;
}

/** A plan that can't be evaluated yet, with what is missing. */
export interface NothingToJudge {
  readonly missing: 'beat' | 'distance';
}

export const KEEP_RATE: Task<RateOrder, KeepRateView | NothingToJudge> = { name: 'keepRate', run: keepRate };

export const STOP_RATES: Task<RateOrder, StopRateView[] | NothingToJudge> = { name: 'stopRates', run: stopRates };

/** Keep rate of a plan, drawn in turns of the event loop. */
function keepRate({ plan, takes, seed }: RateOrder): Promise<KeepRateView | NothingToJudge> {
  return rateOf(plan, drawLayoutOf(plan), takes, seed);
}

/** The same at every stop of the lens, widest first. */
async function stopRates({ plan, takes, seed }: RateOrder): Promise<StopRateView[] | NothingToJudge> {
  const order = drawLayoutOf(plan);
  const views: StopRateView[] = [];
  for (const stop of stopsToCompare(plan)) {
    const rate = await rateOf(withStop(plan, stop), order, takes, seed);
    if ('missing' in rate) return rate;
    views.push({ stop, ...rate });
  }
  return views;
}

async function rateOf(plan: ShotPlan, order: DrawLayout, takes: number, seed: number): Promise<KeepRateView | NothingToJudge> {
  const prepared = prepareTrials(plan, { order });
  if ('missing' in prepared) return { missing: prepared.missing[0] ?? 'distance' };
  const runs: TrialCounts[] = [];
  for (let first = 0; first < takes; first += TAKES_AT_ONCE) {
    runs.push(runTrials(prepared, seed, { first, count: Math.min(TAKES_AT_ONCE, takes - first) }));
    await setImmediate();
  }
  const {
    frames,
    expectedTakes,
    takesForNineOfTen,
    beats,
    setupsKept: _,
    ...rate
  } = keepRateOf(prepared.beats, mergeCounts(runs), seed);
  return {
    ...rate,
    beats: [...beats],
    frames: Array.from(frames, finite),
    expectedTakes: finite(expectedTakes),
    takesForNineOfTen: finite(takesForNineOfTen),
  };
}

function finite(value: number): number | null {
  return Number.isFinite(value) ? value : null;
}

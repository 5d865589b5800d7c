import { setImmediate } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { KeepRateView, StopRateView } from '@still-heron/contract';
import {
  withStop,
  drawLayoutOf,
  type DrawLayout,
  keepRateOf,
  mergeCounts,
  prepareTrials,
  runTrials,
  type ShotPlan,
  stopsToCompare,
  type TrialCounts,
} from '@still-heron/core';
import { RequestProblem } from '../http/request-problem.js';
import { ShotsService } from '../shots/shots.service.js';

/** Trials between two turns of the event loop: some milliseconds for a long shot. */
const TAKES_AT_ONCE = 100;

/** Keep rates for exports and other programs: the same trials as on the page. */
@Injectable()
export class StopService {
  constructor(@Inject(ShotsService) private readonly shots: ShotsService) {}

  /** @throws {RequestProblem} 404; 409 for a plan that can't be evaluated yet */
  async keepRate(shotId: string, takes: number, seed: number): Promise<KeepRateView> {
    const { plan } = await this.shots.find(shotId);
    return rateOf(plan, drawLayoutOf(plan), takes, seed);
  }

  /** @throws {RequestProblem} as `keepRate` */
  async stops(shotId: string, takes: number, seed: number): Promise<StopRateView[]> {
    const { plan } = await this.shots.find(shotId);
    const order = drawLayoutOf(plan);
    const views: StopRateView[] = [];
    for (const stop of stopsToCompare(plan)) views.push({ stop, ...(await rateOf(withStop(plan, stop), order, takes, seed)) });
    return views;
  }
}

async function rateOf(plan: ShotPlan, order: DrawLayout, takes: number, seed: number): Promise<KeepRateView> {
  const prepared = prepareTrials(plan, { order });
  if ('missing' in prepared) {
    const missing = prepared.missing[0] ?? 'distance';
    throw RequestProblem.of(409, missing === 'beat' ? 'beats' : 'subjects', 'nothing-to-judge', { missing });
  }
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

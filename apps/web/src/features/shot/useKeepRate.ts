import { drawLayoutOf, isAllAutomatic, type KeepRate, type ShotPlan } from '@still-heron/core';
import { useSyncExternalStore } from 'react';
import { evaluator } from '../../shared/workers/evaluator';
import { createLatestRates } from '../../shared/workers/simulation/latestRates';
import { RANKS, SEED, TAKES } from '../../shared/workers/simulation/defaults';
import { trialPool } from '../../shared/workers/simulation/workers';

/** Keep rate of the open shot, shown on every step. */
const rates = createLatestRates<ShotPlan>(trialPool, { takes: TAKES, seed: SEED, rank: RANKS.keepRate, isPaced: true });

/** Delay after opening, so that the shot can be edited first. */
const AFTER_OPENING_MS = 500;
let isAwake = false;

/** Requests the keep rate of the newest evaluated plan. */
function askNewest(): void {
  const judged = evaluator.latest();
  // what autofocus does can't be simulated
  if (!judged || judged.result.status !== 'judged' || isAllAutomatic(judged.key)) rates.forget();
  else if (isAwake) rates.ask({ key: judged.key, asks: [{ plan: judged.key, order: drawLayoutOf(judged.key), without: null }] });
}
evaluator.subscribe(() => {
  if (isAwake) askNewest();
  else
    setTimeout(() => {
      isAwake = true;
      askNewest();
    }, AFTER_OPENING_MS);
});

/** Drops verdict and keep rate of the open shot, so that the next shot does not show them. */
export function forgetResults(): void {
  evaluator.forget();
  rates.forget();
}

/** Keep rate of the open shot with its plan; null until known, or if nothing is required. */
export function useKeepRate(): { readonly plan: ShotPlan; readonly rate: KeepRate } | null {
  const latest = useSyncExternalStore(rates.subscribe, rates.latest);
  const rate = latest?.result.rates[0];
  return latest && rate ? { plan: latest.key.key, rate } : null;
}

import { drawLayoutOf, type KeepRate, type ShotPlan } from '@still-heron/core';
import { useSyncExternalStore } from 'react';
import { evaluator } from '../../shared/workers/evaluator';
import { createLatestRates } from '../../shared/workers/simulation/latestRates';
import { SEED, TAKES } from '../../shared/workers/simulation/defaults';
import { trialPool } from '../../shared/workers/simulation/workers';

/** Keep rate of the open shot, shown on every step. */
const asker = createLatestRates<ShotPlan>(trialPool, { takes: TAKES, seed: SEED, rank: 0, isPaced: true });

/** Delay after opening, so that the shot can be edited first. */
const AFTER_OPENING_MS = 500;
let isAwake = false;

/** Requests the keep rate of the newest evaluated plan. */
function drawNewest(): void {
  const judged = evaluator.latest();
  if (!judged || judged.verdict.status !== 'judged') asker.stop();
  else if (isAwake) asker.ask(judged.plan, [{ plan: judged.plan, order: drawLayoutOf(judged.plan), without: null }]);
}
evaluator.subscribe(() => {
  if (isAwake) drawNewest();
  else
    setTimeout(() => {
      isAwake = true;
      drawNewest();
    }, AFTER_OPENING_MS);
});

/** Drops the keep rate of the previous shot, so that the next one does not show it. */
export function forgetKeepRate(): void {
  asker.stop();
}

/** Keep rate of the open shot with its plan; null until known, or if nothing is required. */
export function useKeepRate(): { readonly plan: ShotPlan; readonly rate: KeepRate } | null {
  const latest = useSyncExternalStore(asker.subscribe, asker.latest);
  const rate = latest?.progress.rates[0];
  return latest && rate ? { plan: latest.key, rate } : null;
}

import { drawOrderOf, type KeepRate, type ShotPlan } from '@still-heron/core';
import { useSyncExternalStore } from 'react';
import { createChanceAsker } from '../../workers/takes/chances';
import { SEED, TAKES } from '../../workers/takes/usual';
import { takePool } from '../../workers/takes/workers';

/** The takes of the shot that is open: what its keep rate is told by on every step. */
const asker = createChanceAsker<ShotPlan>(takePool, { takes: TAKES, seed: SEED, rank: 0, isPaced: true });

/** Draws takes of a plan; of several in a row the newest counts. */
export function drawKeepRate(plan: ShotPlan): void {
  asker.ask(plan, [{ plan, order: drawOrderOf(plan), without: null }]);
}

/** How often a take of the open shot is kept, with the plan that is of; null until takes are drawn, or while there is nothing to keep. */
export function useKeepRate(): { readonly plan: ShotPlan; readonly rate: KeepRate } | null {
  const latest = useSyncExternalStore(asker.subscribe, asker.latest);
  const rate = latest?.progress.rates[0];
  return latest && rate ? { plan: latest.key, rate } : null;
}

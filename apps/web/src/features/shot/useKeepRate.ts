import { drawOrderOf, type KeepRate, type ShotPlan } from '@still-heron/core';
import { useSyncExternalStore } from 'react';
import { evaluator } from '../../workers/evaluator';
import { createChanceAsker } from '../../workers/takes/chances';
import { SEED, TAKES } from '../../workers/takes/usual';
import { takePool } from '../../workers/takes/workers';

/** The takes of the shot that is open: what its keep rate is told by on every step. */
const asker = createChanceAsker<ShotPlan>(takePool, { takes: TAKES, seed: SEED, rank: 0, isPaced: true });

/** A shot that is opened can be worked on before its takes are drawn. */
const AFTER_OPENING_MS = 500;
let isAwake = false;

/** Every plan that has been judged has its takes drawn, the newest of several. */
function drawNewest(): void {
  const judged = evaluator.latest();
  if (!judged || judged.verdict.status !== 'judged') asker.stop();
  else if (isAwake) asker.ask(judged.plan, [{ plan: judged.plan, order: drawOrderOf(judged.plan), without: null }]);
}
evaluator.subscribe(() => {
  if (isAwake) drawNewest();
  else
    setTimeout(() => {
      isAwake = true;
      drawNewest();
    }, AFTER_OPENING_MS);
});

/** Forgets the shot that was open: the next one's steps must not show its rate. */
export function forgetKeepRate(): void {
  asker.stop();
}

/** How often a take of the open shot is kept, with the plan that is of; null until takes are drawn, or while there is nothing to keep. */
export function useKeepRate(): { readonly plan: ShotPlan; readonly rate: KeepRate } | null {
  const latest = useSyncExternalStore(asker.subscribe, asker.latest);
  const rate = latest?.progress.rates[0];
  return latest && rate ? { plan: latest.key, rate } : null;
}

import type { Improvement, MethodOffer, PullVerdict, ShotPlan } from '@still-heron/core';
import { createTakePool, type TakePool } from './takePool';
import type { TakeRunner } from './takeRunner';
import { startWorker } from '../startWorker';

/** Maximum number of trial workers; one core is left to the page. */
const MOST_WORKERS = 4;

let pool: TakePool | null = null;

/** Pool of trial workers, started on first use. */
export function takePool(): TakePool {
  if (pool) return pool;
  const count = Math.min(Math.max(navigator.hardwareConcurrency - 1, 1), MOST_WORKERS);
  const runners = Array.from({ length: count }, (): TakeRunner => {
    const { remote } = startWorker();
    return { run: (part) => remote.run(part) };
  });
  return (pool = createTakePool(runners));
}

/** Improvements and methods are prepared in a worker beside the pool, so that neither waits. */
let adviser: ReturnType<typeof startWorker> | null = null;

export async function helpsFor(plan: ShotPlan): Promise<readonly Improvement[]> {
  return (adviser ??= startWorker()).remote.helps(plan);
}

export async function methodsFor(plan: ShotPlan): Promise<readonly MethodOffer[]> {
  return (adviser ??= startWorker()).remote.methods(plan);
}

/** Verdicts of several plans, for the style strip. */
export async function judgeAll(plans: readonly ShotPlan[]): Promise<readonly PullVerdict[]> {
  const { remote } = (adviser ??= startWorker());
  return Promise.all(plans.map((plan) => remote.evaluate(plan)));
}

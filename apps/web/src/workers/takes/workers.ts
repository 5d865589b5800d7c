import type { Help, MethodOffer, PullVerdict, ShotPlan } from '@still-heron/core';
import { createTakePool, type TakePool } from './takePool';
import type { TakeRunner } from './takeRunner';
import { startWorker } from '../startWorker';

/** Workers that draw takes, at most; one core is left to the page itself. */
const MOST_WORKERS = 4;

let pool: TakePool | null = null;

/** The pool of this page, started when takes are first asked for. */
export function takePool(): TakePool {
  if (pool) return pool;
  const count = Math.min(Math.max(navigator.hardwareConcurrency - 1, 1), MOST_WORKERS);
  const runners = Array.from({ length: count }, (): TakeRunner => {
    const { remote } = startWorker();
    return { run: (part) => remote.run(part) };
  });
  return (pool = createTakePool(runners));
}

/** What to draw takes of is worked out beside the pool, so that neither waits for the other. */
let adviser: ReturnType<typeof startWorker> | null = null;

export async function helpsFor(plan: ShotPlan): Promise<readonly Help[]> {
  return (adviser ??= startWorker()).remote.helps(plan);
}

export async function methodsFor(plan: ShotPlan): Promise<readonly MethodOffer[]> {
  return (adviser ??= startWorker()).remote.methods(plan);
}

/** The verdicts of several plans at once, for pictures of them. */
export async function judgeAll(plans: readonly ShotPlan[]): Promise<readonly PullVerdict[]> {
  const { remote } = (adviser ??= startWorker());
  return Promise.all(plans.map((plan) => remote.evaluate(plan)));
}

import type { Improvement, MethodOffer, PullVerdict, ShotPlan } from '@still-heron/core';
import { dragging } from '../../gestures/dragging';
import { createTrialPool, type TrialPool } from './trialPool';
import type { TrialRunner } from './trialRunner';
import { startWorker } from '../startWorker';

/** Maximum number of trial workers; one core is left to the page. */
const MAX_WORKERS = 4;

let pool: TrialPool | null = null;

/** Pool of trial workers, started on first use. */
export function trialPool(): TrialPool {
  if (pool) return pool;
  const count = Math.min(Math.max(navigator.hardwareConcurrency - 1, 1), MAX_WORKERS);
  const runners = Array.from({ length: count }, (): TrialRunner => {
    const { remote } = startWorker();
    return { run: (part) => remote.run(part) };
  });
  const created = createTrialPool(runners);
  dragging.subscribe(() => created.hold(dragging.is()));
  return (pool = created);
}

/** Improvements and methods are prepared in a worker beside the pool, so that neither waits. */
let adviceWorker: ReturnType<typeof startWorker> | null = null;

export async function improvementsFor(plan: ShotPlan): Promise<readonly Improvement[]> {
  return (adviceWorker ??= startWorker()).remote.improvements(plan);
}

export async function methodsFor(plan: ShotPlan): Promise<readonly MethodOffer[]> {
  return (adviceWorker ??= startWorker()).remote.methods(plan);
}

/** Verdicts of several plans, for the style strip. */
export async function evaluateAll(plans: readonly ShotPlan[]): Promise<readonly PullVerdict[]> {
  const { remote } = (adviceWorker ??= startWorker());
  return Promise.all(plans.map((plan) => remote.evaluate(plan)));
}

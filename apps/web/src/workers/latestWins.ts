import type { PullVerdict, ShotPlan } from '@still-heron/core';

/** A verdict with the plan it judges: the two are shown together, or not at all. */
export interface JudgedPlan {
  readonly plan: ShotPlan;
  readonly verdict: PullVerdict;
}

export interface Evaluator {
  /** Asks for a plan's verdict. Only the newest plan counts: an answer to an older one is dropped. */
  ask(plan: ShotPlan): void;
  /** The newest answer; the same object until the next. */
  latest(): JudgedPlan | null;
  subscribe(listener: () => void): () => void;
}

/** Latest wins: one plan is with the worker, at most one waits, and the waiting one is replaced by a newer. */
export function createEvaluator(evaluate: (plan: ShotPlan) => Promise<PullVerdict>): Evaluator {
  const listeners = new Set<() => void>();
  let waiting: ShotPlan | null = null;
  let isBusy = false;
  let answer: JudgedPlan | null = null;

  async function run(plan: ShotPlan): Promise<void> {
    isBusy = true;
    const verdict = await evaluate(plan).catch((error: unknown) => {
      console.error(error);
      return null;
    });
    isBusy = false;
    if (waiting) {
      const next = waiting;
      waiting = null;
      void run(next);
    } else if (verdict) {
      answer = { plan, verdict };
      listeners.forEach((listener) => listener());
    }
  }

  return {
    ask(plan) {
      if (isBusy) waiting = plan;
      else void run(plan);
    },
    latest: () => answer,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

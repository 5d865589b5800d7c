import type { PullVerdict, ShotPlan } from '@still-heron/core';

/** A verdict with its plan; they are always shown together. */
export interface PlanVerdict {
  readonly plan: ShotPlan;
  readonly verdict: PullVerdict;
}

export interface Evaluator {
  /** Requests a verdict. Answers to older plans are dropped. */
  ask(plan: ShotPlan): void;
  /** Newest answer; keeps its identity until the next one. */
  latest(): PlanVerdict | null;
  subscribe(listener: () => void): () => void;
}

/** Latest wins: one plan is in the worker, at most one waits, and a newer one replaces it. */
export function createEvaluator(evaluate: (plan: ShotPlan) => Promise<PullVerdict>): Evaluator {
  const listeners = new Set<() => void>();
  let waiting: ShotPlan | null = null;
  let isBusy = false;
  let answer: PlanVerdict | null = null;

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

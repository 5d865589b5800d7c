import type { ShotPlan, UnitSystem } from '@still-heron/core';
import { wrap } from 'comlink';
import { createEvaluator } from './latestWins';
import type { EvaluatorWorker, ShotSummary } from './protocol';

const remote = wrap<EvaluatorWorker>(new Worker(new URL('./evaluate.worker.ts', import.meta.url), { type: 'module' }));

/** The one evaluator of this page, for the shot that is open. */
export const evaluator = createEvaluator((plan) => remote.evaluate(plan));

/** A shot's row in a list; a plan that can't be computed says so in its row. */
export async function summariseShot(plan: ShotPlan, units: UnitSystem): Promise<ShotSummary> {
  return remote.summarise(plan, units).catch((error: unknown) => ({
    outcome: 'unreadable' as const,
    parts: [
      { tone: 'soft' as const, text: `This plan can't be judged: ${error instanceof Error ? error.message : 'unknown reason'}.` },
    ],
    sketch: [],
    softSpans: [],
  }));
}

import type { Mend, ShotPlan, UnitSystem } from '@still-heron/core';
import { wrap } from 'comlink';
import { createEvaluator } from './latestWins';
import type { EvaluatorWorker, ShotSummary } from './protocol';

const startWorker = () => wrap<EvaluatorWorker>(new Worker(new URL('./evaluate.worker.ts', import.meta.url), { type: 'module' }));
const remote = startWorker();

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

/** Mends are tried by dozens: in a worker of their own, started when the first are asked for, so that no verdict waits for them. */
let mender: ReturnType<typeof startWorker> | null = null;

/** What would mend a plan; none when it can't be computed. */
export async function mendsFor(plan: ShotPlan): Promise<readonly Mend[]> {
  mender ??= startWorker();
  return mender.mends(plan).catch((error: unknown) => {
    console.error(error);
    return [];
  });
}

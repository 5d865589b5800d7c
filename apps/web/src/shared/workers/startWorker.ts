import { type Remote, wrap } from 'comlink';
import type { EvaluatorWorker } from './protocol';

/** Starts a page worker. All workers use the same script, which is loaded once. */
export function startWorker(): { readonly remote: Remote<EvaluatorWorker>; readonly stop: () => void } {
  const worker = new Worker(new URL('./evaluate.worker.ts', import.meta.url), { type: 'module' });
  return { remote: wrap<EvaluatorWorker>(worker), stop: () => worker.terminate() };
}

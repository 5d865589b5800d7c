import type { TrialPool, TrialProgress } from './trialPool';
import type { TrialRequest } from './trialRunner';

/** Latest trial results of something that keeps changing. */
export interface LatestRates<K> {
  /** Requests new trials. If the previous request has no result yet, it is finished first; then the newest request runs. */
  ask(key: K, asks: readonly TrialRequest[]): void;
  /** Latest results with their key; keeps its identity until there is more */
  latest(): { readonly key: K; readonly progress: TrialProgress } | null;
  subscribe(listener: () => void): () => void;
  /** Ends the current request early and keeps its results. */
  settle(): void;
  /** Cancels everything. */
  stop(): void;
}

export interface AskerOptions {
  readonly takes: number;
  readonly seed: number;
  readonly rank: number;
  /** Runs all trials before the next request, then pauses twice as long as they took, so that the visible work has priority */
  readonly isPaced?: boolean;
}

/** Length of the pause as a multiple of the duration, and its maximum. */
const REST_TIMES = 2;
const MAX_REST_MS = 200;

/** Latest wins, but every request gets a first result: otherwise a continuous drag would cancel all of them. */
export function createLatestRates<K>(
  poolOf: () => TrialPool,
  { takes, seed, rank, isPaced = false }: AskerOptions,
): LatestRates<K> {
  const listeners = new Set<() => void>();
  let answer: { key: K; progress: TrialProgress } | null = null;
  let running: { isWaitedFor: boolean; cancel: () => void } | null = null;
  let waiting: { key: K; asks: readonly TrialRequest[] } | null = null;
  let resting: ReturnType<typeof setTimeout> | null = null;

  function goOn(): void {
    resting = null;
    if (!waiting) return;
    const { key, asks } = waiting;
    waiting = null;
    start(key, asks);
  }

  function start(key: K, asks: readonly TrialRequest[]): void {
    running?.cancel();
    running = null;
    if (asks.length === 0) return;
    const startedMs = performance.now();
    const job = { isWaitedFor: true, cancel: () => undefined as void };
    running = job;
    const { cancel } = poolOf().draw({
      asks,
      takes,
      seed,
      rank,
      onProgress(progress) {
        answer = { key, progress };
        job.isWaitedFor = isPaced && !progress.isDone;
        if (progress.isDone && running === job) running = null;
        listeners.forEach((listener) => listener());
        if (job.isWaitedFor || resting !== null) return;
        if (isPaced) resting = setTimeout(goOn, Math.min(REST_TIMES * (performance.now() - startedMs), MAX_REST_MS));
        else goOn();
      },
    });
    job.cancel = cancel;
  }

  return {
    ask(key, asks) {
      if (resting !== null || running?.isWaitedFor) waiting = { key, asks };
      else start(key, asks);
    },
    latest: () => answer,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    settle() {
      running?.cancel();
      running = waiting = null;
    },
    stop() {
      running?.cancel();
      const hadAnswer = answer !== null;
      if (resting !== null) clearTimeout(resting);
      running = waiting = answer = resting = null;
      if (hadAnswer) listeners.forEach((listener) => listener());
    },
  };
}

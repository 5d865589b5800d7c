import type { TakePool, TakesProgress } from './takePool';
import type { TakesAsk } from './takeRunner';

/** The newest takes of something that keeps changing. */
export interface ChanceAsker<K> {
  /** Asks anew. While the first figures of what was asked before are still to come, it waits for them; then what is newest goes on. */
  ask(key: K, asks: readonly TakesAsk[]): void;
  /** What is known with what it is of; the same object until there is more */
  latest(): { readonly key: K; readonly progress: TakesProgress } | null;
  subscribe(listener: () => void): () => void;
  /** Nothing more is wanted. */
  stop(): void;
}

export interface AskerOptions {
  readonly takes: number;
  readonly seed: number;
  readonly rank: number;
}

/** Latest wins, and something is always shown: a drag that never rests would otherwise give every job up before it has said anything. */
export function createChanceAsker<K>(poolOf: () => TakePool, { takes, seed, rank }: AskerOptions): ChanceAsker<K> {
  const listeners = new Set<() => void>();
  let answer: { key: K; progress: TakesProgress } | null = null;
  let running: { hasFirst: boolean; cancel: () => void } | null = null;
  let waiting: { key: K; asks: readonly TakesAsk[] } | null = null;

  function start(key: K, asks: readonly TakesAsk[]): void {
    running?.cancel();
    running = null;
    if (asks.length === 0) return;
    const job = { hasFirst: false, cancel: () => undefined as void };
    running = job;
    const { cancel } = poolOf().draw({
      asks,
      takes,
      seed,
      rank,
      onProgress(progress) {
        job.hasFirst = progress.hasFirst;
        if (progress.hasFirst || answer === null) {
          answer = { key, progress };
          listeners.forEach((listener) => listener());
        }
        if (progress.isDone && running === job) running = null;
        if (!waiting || !progress.hasFirst) return;
        const next = waiting;
        waiting = null;
        start(next.key, next.asks);
      },
    });
    job.cancel = cancel;
  }

  return {
    ask(key, asks) {
      if (running && !running.hasFirst) waiting = { key, asks };
      else start(key, asks);
    },
    latest: () => answer,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    stop() {
      running?.cancel();
      running = waiting = answer = null;
    },
  };
}

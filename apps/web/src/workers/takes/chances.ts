import type { TakePool, TakesProgress } from './takePool';
import type { TakesAsk } from './takeRunner';

/** The newest takes of something that keeps changing. */
export interface ChanceAsker<K> {
  /** Asks anew. While the first figures of what was asked before are still to come, it waits for them; then what is newest goes on. */
  ask(key: K, asks: readonly TakesAsk[]): void;
  /** What is known with what it is of; the same object until there is more */
  latest(): { readonly key: K; readonly progress: TakesProgress } | null;
  subscribe(listener: () => void): () => void;
  /** What is known is enough: nothing more is drawn of it. */
  settle(): void;
  /** Nothing more is wanted. */
  stop(): void;
}

export interface AskerOptions {
  readonly takes: number;
  readonly seed: number;
  readonly rank: number;
  /** Draws all takes before it goes on, and then rests twice as long as that took: what is always there must leave room for what is looked at */
  readonly isPaced?: boolean;
}

/** Times what the takes took; and no rest is longer than this. */
const REST_TIMES = 2;
const LONGEST_REST_MS = 200;

/** Latest wins, and something is always shown: a drag that never rests would otherwise give every job up before it has said anything. */
export function createChanceAsker<K>(
  poolOf: () => TakePool,
  { takes, seed, rank, isPaced = false }: AskerOptions,
): ChanceAsker<K> {
  const listeners = new Set<() => void>();
  let answer: { key: K; progress: TakesProgress } | null = null;
  let running: { isWaitedFor: boolean; cancel: () => void } | null = null;
  let waiting: { key: K; asks: readonly TakesAsk[] } | null = null;
  let resting: ReturnType<typeof setTimeout> | null = null;

  function goOn(): void {
    resting = null;
    if (!waiting) return;
    const { key, asks } = waiting;
    waiting = null;
    start(key, asks);
  }

  function start(key: K, asks: readonly TakesAsk[]): void {
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
        if (isPaced) resting = setTimeout(goOn, Math.min(REST_TIMES * (performance.now() - startedMs), LONGEST_REST_MS));
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

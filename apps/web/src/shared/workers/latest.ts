/** Newest result of a request, with the key of the request. */
export interface Answer<K, R> {
  readonly key: K;
  readonly result: R;
}

/** A running request reports its results; the last one is done. Without a result it failed. */
export type Report<R> = (result: R | undefined, isDone: boolean) => void;

export interface LatestOptions<K, R> {
  /**
   * Starts a request.
   *
   * @returns a function to cancel it
   */
  readonly start: (key: K, report: Report<R>) => () => void;
  /**
   * `first-result`: a running request is given up once it has a result. `done`: it runs to its end, and a pause twice as long
   * follows, so that visible work has priority. `newest`: it runs to its end, and the next one is started before its result is told: the
   * result of a request that is no longer the newest still is the newest result there is
   */
  readonly pace: 'first-result' | 'done' | 'newest';
}

/** Results of something that keeps changing, such as an edited plan. */
export interface Latest<K, R> {
  /** Requests a result. One request runs and at most one waits: a newer one replaces it. */
  ask(key: K): void;
  /** Newest answer; keeps its identity until the next one. */
  latest(): Answer<K, R> | null;
  subscribe(listener: () => void): () => void;
  /** Cancels the running request and keeps its results. */
  settle(): void;
  /** Cancels everything and forgets the results. */
  forget(): void;
}

/** Length of the pause as a multiple of the duration, and its maximum. */
const REST_TIMES = 2;
const MAX_REST_MS = 200;

interface Running {
  isWaitedFor: boolean;
  cancel: () => void;
}

/**
 * Latest wins. Every started request gives a result before the next one starts: otherwise a continuous drag would cancel all of
 * them.
 */
export function createLatest<K, R>({ start, pace }: LatestOptions<K, R>): Latest<K, R> {
  const listeners = new Set<() => void>();
  let answer: Answer<K, R> | null = null;
  let running: Running | null = null;
  let waiting: { readonly key: K } | null = null;
  let resting: ReturnType<typeof setTimeout> | null = null;
  const tell = (newest: Answer<K, R> | null) => {
    answer = newest;
    listeners.forEach((listener) => listener());
  };

  function runNext(): void {
    resting = null;
    if (!waiting) return;
    const { key } = waiting;
    waiting = null;
    run(key);
  }

  function run(key: K): void {
    running?.cancel();
    const startedMs = performance.now();
    const job: Running = { isWaitedFor: true, cancel: () => undefined };
    running = job;
    const cancel = start(key, (result, isDone) => {
      if (running !== job) return;
      job.isWaitedFor = pace !== 'first-result' && !isDone;
      if (isDone) running = null;
      const isNextFirst = pace === 'newest' && isDone;
      if (isNextFirst) runNext();
      if (result !== undefined) tell({ key, result });
      if (job.isWaitedFor || isNextFirst || resting !== null) return;
      if (pace === 'done') resting = setTimeout(runNext, Math.min(REST_TIMES * (performance.now() - startedMs), MAX_REST_MS));
      else runNext();
    });
    job.cancel = cancel;
  }

  function cancelAll(): void {
    running?.cancel();
    if (resting !== null) clearTimeout(resting);
    running = waiting = resting = null;
  }

  return {
    ask(key) {
      if (resting !== null || running?.isWaitedFor) waiting = { key };
      else run(key);
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
    forget() {
      cancelAll();
      if (answer !== null) tell(null);
    },
  };
}

/** A request answered by one promise. A failure is logged, and leaves the last answer. */
export function once<K, R>(work: (key: K) => Promise<R>): LatestOptions<K, R>['start'] {
  return (key, report) => {
    let isCancelled = false;
    work(key).then(
      (result) => isCancelled || report(result, true),
      (error: unknown) => {
        console.error(error);
        if (!isCancelled) report(undefined, true);
      },
    );
    return () => {
      isCancelled = true;
    };
  };
}

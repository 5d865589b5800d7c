import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { CONFIG, type Config } from '../config.js';
import { RequestProblem } from '../http/request-problem.js';
import { PLACES } from '../places.js';
import type { Task } from './task.js';

/** Tasks that wait for a thread; more are refused as busy. */
const MAX_WAITING = 64;
/** Longest time of a computation that somebody waits for. */
const LIMIT_MS = 120_000;
/** An idle thread ends after this time. */
const IDLE_MS = 30_000;

/** Threads for what takes long, so that other requests are answered meanwhile. */
@Injectable()
export class Pool implements OnApplicationShutdown {
  private readonly threads: Piscina | null;

  constructor(@Inject(CONFIG) { threads }: Config) {
    this.threads =
      threads === 0
        ? null
        : new Piscina({
            filename: PLACES.thread,
            minThreads: 0,
            maxThreads: threads,
            maxQueue: MAX_WAITING,
            idleTimeout: IDLE_MS,
          });
  }

  /**
   * Runs a task in a thread; in this one if the server has none.
   *
   * @param signal - ends the task, also while it computes
   * @param limitMs - ends it after this time; null for none
   * @throws {RequestProblem} 503 if too many are waiting; 422 if it takes too long; 499 if it was ended
   */
  async run<I, R>(task: Task<I, R>, input: I, signal: AbortSignal, limitMs: number | null = LIMIT_MS): Promise<R> {
    const { threads } = this;
    if (!threads) return task.run(input);
    if (threads.queueSize >= MAX_WAITING) throw RequestProblem.of(503, '', 'too-much-work', {});
    const limit = new AbortController();
    const timer = limitMs === null ? undefined : setTimeout(() => limit.abort(), limitMs);
    try {
      return (await threads.run({ name: task.name, input }, { signal: AbortSignal.any([signal, limit.signal]) })) as R;
    } catch (error) {
      if (limit.signal.aborted) throw RequestProblem.of(422, '', 'takes-too-long', { seconds: limitMs! / 1000 });
      if (signal.aborted) throw RequestProblem.of(499, '', 'given-up', {});
      throw error;
    } finally {
      clearTimeout(timer);
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.threads?.destroy();
  }
}

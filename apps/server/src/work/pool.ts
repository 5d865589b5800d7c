import { resolve } from 'node:path';
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { CONFIG, type Config } from '../config.js';
import { RequestProblem } from '../http/request-problem.js';
import { type TaskName, type Tasks, TASKS } from './tasks.js';

/** Tasks that wait for a thread; more are refused as busy. */
const MAX_WAITING = 64;
/** An idle thread ends after this time. */
const IDLE_MS = 30_000;

type Input<N extends TaskName> = Parameters<Tasks[N]>[0];
type Result<N extends TaskName> = Awaited<ReturnType<Tasks[N]>>;

/** Threads for what takes long, so that other requests are answered meanwhile. */
@Injectable()
export class Pool implements OnApplicationShutdown {
  private readonly threads: Piscina | null;

  constructor(@Inject(CONFIG) { threads }: Config) {
    this.threads =
      threads === 0
        ? null
        : new Piscina({
            filename: resolve(import.meta.dirname, 'thread.js'),
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
   * @throws {RequestProblem} 503 if too many are waiting
   */
  async run<N extends TaskName>(name: N, input: Input<N>, signal: AbortSignal | null = null): Promise<Result<N>> {
    const { threads } = this;
    if (!threads) return (TASKS[name] as (input: Input<N>) => Promise<Result<N>>)(input);
    if (threads.queueSize >= MAX_WAITING) throw RequestProblem.of(503, '', 'too-much-work', {});
    return (await threads.run({ name, input }, { signal })) as Result<N>;
  }

  async onApplicationShutdown(): Promise<void> {
    await this.threads?.destroy();
  }
}

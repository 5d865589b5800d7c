import { type KeepRate, keepRateOf, mergedCounts } from '@still-heron/core';
import type { TakeRunner, TakesAnswer, TakesAsk } from './takeRunner';

/** How it stands with takes that are drawn. */
export interface TakesProgress {
  /** By ask: what is known so far, at least the first figures; null for a plan that can't be judged */
  readonly rates: readonly (KeepRate | null)[];
  readonly takesDone: number;
  readonly takesInAll: number;
  readonly isDone: boolean;
}

export interface TakesJob {
  readonly asks: readonly TakesAsk[];
  /** Of each */
  readonly takes: number;
  readonly seed: number;
  /** Of jobs that wait, the one with the least goes first, and of two alike the newer */
  readonly rank: number;
  readonly onProgress: (progress: TakesProgress) => void;
}

export interface TakePool {
  /** Draws the takes of a job: a few of every ask first, then the rest. What comes of them is the same however many workers share them. */
  draw(job: TakesJob): { readonly cancel: () => void };
}

/** Takes of every ask that are drawn before more of any: enough for a figure that does not jump by much. */
const FIRST_TAKES = 100;
/** What is known is told no more often than this, but for the first figures and the last. */
const TELL_MS = 120;
/** Takes in one go after that: short enough to give up, long enough not to be all posting. */
const PART_TAKES = 600;

interface Task {
  readonly index: number;
  readonly firstTake: number;
  readonly takes: number;
}

interface Running extends TakesJob {
  readonly id: number;
  readonly waiting: Task[];
  readonly answers: TakesAnswer[][];
  toldMs: number;
  takesDone: number;
  takesToCome: number;
  firstToCome: number;
  isGivenUp: boolean;
}

/** Shares takes out among workers. */
export function createTakePool(runners: readonly TakeRunner[]): TakePool {
  let jobs: Running[] = [];
  let nextId = 0;
  const idle = new Set(runners.keys());

  function pick(worker: number): { job: Running; task: Task } | null {
    const ordered = [...jobs].sort((a, b) => a.rank - b.rank || b.id - a.id);
    const job = ordered.find(({ waiting }) => waiting.length > 0);
    if (!job) return null;
    // a worker goes on with what it has prepared already, as long as there is something of it
    const { firstTake } = job.waiting[0]!;
    const own = job.waiting.findIndex((task) => task.firstTake === firstTake && task.index % runners.length === worker);
    return { job, task: job.waiting.splice(Math.max(own, 0), 1)[0]! };
  }

  async function work(worker: number): Promise<void> {
    idle.delete(worker);
    for (let next = pick(worker); next; next = pick(worker)) await runTask(worker, next.job, next.task);
    idle.add(worker);
  }

  async function runTask(worker: number, job: Running, { index, firstTake, takes }: Task): Promise<void> {
    const part = { key: `${job.id} ${index}`, ask: job.asks[index]!, seed: job.seed, firstTake, takes };
    const answer = await Promise.resolve(runners[worker]!.run(part)).catch((error: unknown): TakesAnswer => {
      console.error(error);
      return null;
    });
    if (job.isGivenUp) return;
    job.answers[index]!.push(answer);
    job.takesDone += takes;
    if (firstTake === 0) job.firstToCome--;
    const { takesDone, takesToCome: takesInAll, firstToCome, seed } = job;
    const isDone = takesDone === takesInAll;
    const isFirst = firstTake === 0 && firstToCome === 0;
    if (isDone) jobs = jobs.filter((one) => one !== job);
    if (firstToCome > 0 || !(isFirst || isDone || performance.now() - job.toldMs > TELL_MS)) return;
    job.toldMs = performance.now();
    job.onProgress({ rates: job.answers.map((answers) => rateOf(answers, seed)), takesDone, takesInAll, isDone });
  }

  return {
    draw(given) {
      const { asks, takes } = given;
      const waiting = tasksOf(asks.length, takes);
      const job: Running = {
        ...given,
        id: nextId++,
        waiting,
        answers: asks.map(() => []),
        toldMs: 0,
        takesDone: 0,
        takesToCome: asks.length * takes,
        firstToCome: asks.length,
        isGivenUp: false,
      };
      jobs.push(job);
      for (const worker of [...idle]) void work(worker);
      return {
        cancel() {
          job.isGivenUp = true;
          jobs = jobs.filter((one) => one !== job);
        },
      };
    },
  };
}

/** The first takes of each, then the next of each: so that all of them become surer together. */
function tasksOf(asks: number, takes: number): Task[] {
  const tasks: Task[] = [];
  for (let first = 0; first < takes;) {
    const part = Math.min(first === 0 ? FIRST_TAKES : PART_TAKES, takes - first);
    for (let index = 0; index < asks; index++) tasks.push({ index, firstTake: first, takes: part });
    first += part;
  }
  return tasks;
}

function rateOf(answers: readonly TakesAnswer[], seed: number): KeepRate | null {
  const known = answers.flatMap((answer) => answer ?? []);
  const [first] = known;
  return first ? keepRateOf(first.beats, mergedCounts(known.map(({ counts }) => counts)), seed) : null;
}

import { type IdealTake, type KeepRate, keepRateOf, mergeCounts } from '@still-heron/core';
import { RANKS } from './defaults';
import type { TrialRunner, TrialAnswer, TrialRequest } from './trialRunner';

/** Progress of a job. */
export interface TrialProgress {
  /** Results by request; null for a plan that can't be evaluated */
  readonly rates: readonly (KeepRate | null)[];
  /** The ideal take of each, likewise */
  readonly ideals: readonly (IdealTake | null)[];
  readonly takesDone: number;
  readonly takesInAll: number;
  readonly isDone: boolean;
}

export interface TrialJob {
  readonly asks: readonly TrialRequest[];
  /** Trials per request */
  readonly takes: number;
  readonly seed: number;
  /** Jobs with the lowest rank run first; of equal ones, the newest */
  readonly rank: number;
  readonly onProgress: (progress: TrialProgress) => void;
  /** Told before the first progress: how many requests have a first result */
  readonly onFirst?: (known: number, total: number) => void;
}

export interface TrialPool {
  /** Runs a job: a few trials of every request first, then the rest. The result does not depend on the number of workers. */
  draw(job: TrialJob): { readonly cancel: () => void };
  /** While something is dragged, jobs that take no part in it rest: the processor is for what follows the pointer. */
  hold(isHeld: boolean): void;
}

/** Trials of each request in the first pass: enough for a stable first figure. */
const FIRST_TRIALS = 100;
/** Minimum interval of progress reports, except the first and the last. */
const PROGRESS_MS = 120;
/** Trials per task after the first pass: short enough to cancel, long enough to limit overhead. */
const TRIALS_PER_TASK = 600;

interface Task {
  readonly index: number;
  readonly firstTrial: number;
  readonly takes: number;
}

interface Running extends TrialJob {
  readonly id: number;
  readonly waiting: Task[];
  readonly answers: TrialAnswer[][];
  toldMs: number;
  takesDone: number;
  takesToCome: number;
  firstToCome: number;
  isGivenUp: boolean;
}

/** Distributes trials among workers. */
export function createTrialPool(runners: readonly TrialRunner[]): TrialPool {
  let jobs: Running[] = [];
  let nextId = 0;
  let isHeld = false;
  const idle = new Set(runners.keys());

  function pick(worker: number): { job: Running; task: Task } | null {
    const job = nextJob(jobs, isHeld);
    if (!job) return null;
    // a worker continues with a plan it has prepared already
    const { firstTrial } = job.waiting[0]!;
    const own = job.waiting.findIndex((task) => task.firstTrial === firstTrial && task.index % runners.length === worker);
    return { job, task: job.waiting.splice(Math.max(own, 0), 1)[0]! };
  }

  async function work(worker: number): Promise<void> {
    idle.delete(worker);
    for (let next = pick(worker); next; next = pick(worker)) await runTask(worker, next.job, next.task);
    idle.add(worker);
  }

  async function runTask(worker: number, job: Running, { index, firstTrial, takes }: Task): Promise<void> {
    const part = { key: `${job.id} ${index}`, ask: job.asks[index]!, seed: job.seed, firstTrial, takes };
    const answer = await Promise.resolve(runners[worker]!.run(part)).catch((error: unknown): TrialAnswer => {
      console.error(error);
      return null;
    });
    if (job.isGivenUp) return;
    job.answers[index]!.push(answer);
    job.takesDone += takes;
    if (firstTrial === 0) {
      job.firstToCome--;
      job.onFirst?.(job.asks.length - job.firstToCome, job.asks.length);
    }
    const isDone = job.takesDone === job.takesToCome;
    const isFirst = firstTrial === 0 && job.firstToCome === 0;
    if (isDone) jobs = jobs.filter((one) => one !== job);
    if (job.firstToCome > 0 || !(isFirst || isDone || performance.now() - job.toldMs > PROGRESS_MS)) return;
    job.toldMs = performance.now();
    job.onProgress(progressOf(job));
  }

  function wake(): void {
    for (const worker of [...idle]) void work(worker);
  }

  return {
    hold(now) {
      isHeld = now;
      wake();
    },
    draw(given) {
      const job = runningJob(given, nextId++);
      jobs.push(job);
      wake();
      return {
        cancel() {
          job.isGivenUp = true;
          jobs = jobs.filter((one) => one !== job);
        },
      };
    },
  };
}

/** The job that goes first. While something is dragged, those that take no part in it rest. */
function nextJob(jobs: readonly Running[], isHeld: boolean): Running | undefined {
  const ordered = [...jobs].sort((a, b) => a.rank - b.rank || b.id - a.id);
  return ordered.find(({ waiting, rank }) => waiting.length > 0 && !(isHeld && rank >= RANKS.fixes));
}

function progressOf({ answers, seed, takesDone, takesToCome }: Running): TrialProgress {
  const rates = answers.map((given) => rateOf(given, seed));
  const ideals = answers.map(([first]) => first?.ideal ?? null);
  return { rates, ideals, takesDone, takesInAll: takesToCome, isDone: takesDone === takesToCome };
}

function runningJob(given: TrialJob, id: number): Running {
  const { asks, takes } = given;
  return {
    ...given,
    id,
    waiting: tasksOf(asks.length, takes),
    answers: asks.map(() => []),
    toldMs: 0,
    takesDone: 0,
    takesToCome: asks.length * takes,
    firstToCome: asks.length,
    isGivenUp: false,
  };
}

/** First part of every request, then the next part of every request, so that all become more accurate together. */
function tasksOf(asks: number, takes: number): Task[] {
  const tasks: Task[] = [];
  for (let first = 0; first < takes;) {
    const part = Math.min(first === 0 ? FIRST_TRIALS : TRIALS_PER_TASK, takes - first);
    for (let index = 0; index < asks; index++) tasks.push({ index, firstTrial: first, takes: part });
    first += part;
  }
  return tasks;
}

function rateOf(answers: readonly TrialAnswer[], seed: number): KeepRate | null {
  const known = answers.flatMap((answer) => answer ?? []);
  const [first] = known;
  return first ? keepRateOf(first.beats, mergeCounts(known.map(({ counts }) => counts)), seed) : null;
}

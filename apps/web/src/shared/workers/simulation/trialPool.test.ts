import { drawLayoutOf, errorSources, keepRate, newPlan, type ShotPlan } from '@still-heron/core';
import { TWO_PEOPLE } from '../../../twoPeople.fixture';
import { RANKS } from './defaults';
import { createLatestRates } from './latestRates';
import { createTrialPool, type TrialPool, type TrialJob, type TrialProgress } from './trialPool';
import { createTrialRunner, type TrialRunner, type TrialRequest } from './trialRunner';

const askOf = (plan: ShotPlan): TrialRequest => ({ plan, order: drawLayoutOf(plan), without: null });
const ask = askOf(TWO_PEOPLE);

/** A runner that answers a while later, each time a different while. */
function lateRunner(delays: readonly number[]): TrialRunner {
  const runner = createTrialRunner();
  let count = 0;
  return {
    run: (part) => new Promise((done) => setTimeout(() => done(runner.run(part)), delays[count++ % delays.length])),
  };
}

function drawn(pool: TrialPool, job: Partial<TrialJob>): Promise<TrialProgress> {
  return new Promise((done) => {
    pool.draw({
      asks: [ask],
      takes: 2000,
      seed: 1,
      rank: 0,
      ...job,
      onProgress: (progress) => {
        job.onProgress?.(progress);
        if (progress.isDone) done(progress);
      },
    });
  });
}

test('one worker, two, or five that answer in any order: bit for bit the same, and as the core alone has it', async () => {
  const alone = keepRate(TWO_PEOPLE, { takes: 2000, seed: 1 });
  for (const runners of [
    [createTrialRunner()],
    [createTrialRunner(), createTrialRunner()],
    [[3, 1], [0], [2, 5], [1], [4, 0]].map(lateRunner),
  ]) {
    const { rates } = await drawn(createTrialPool(runners), {});
    expect(rates).toEqual([alone]);
  }
});

test('of several things each has its first figures before any is drawn to the end', async () => {
  const heard: TrialProgress[] = [];
  const asks = [1, 2, 3, 4].map(() => ask);
  const last = await drawn(createTrialPool([lateRunner([0]), lateRunner([1])]), { asks, onProgress: (one) => heard.push(one) });
  expect(heard[0]!.rates.every((rate) => rate !== null)).toBe(true);
  expect(heard[0]!.takesDone).toBeLessThan(last.takesInAll / 4);
  expect(last.takesDone).toBe(8000);
  expect(last.rates.every((rate) => rate!.takes === 2000)).toBe(true);
});

test('until all have a first figure it is told how many have one', async () => {
  const told: [number, number][] = [];
  const onFirst = (known: number, total: number) => void told.push([known, total]);
  await drawn(createTrialPool([lateRunner([0])]), { asks: [ask, ask, ask], onFirst });
  expect(told).toEqual([
    [1, 3],
    [2, 3],
    [3, 3],
  ]);
});

test('a job that is given up says nothing more; the one with the lower rank goes first', async () => {
  const pool = createTrialPool([lateRunner([1])]);
  const silent = jest.fn();
  const { cancel } = pool.draw({ asks: [ask], takes: 3000, seed: 1, rank: 0, onProgress: silent });
  cancel();
  const order: string[] = [];
  const late = drawn(pool, { rank: 2, takes: 800, onProgress: () => order.push('late') });
  const soon = drawn(pool, { rank: 1, takes: 800, onProgress: () => order.push('soon') });
  await Promise.all([late, soon]);
  expect(silent).not.toHaveBeenCalled();
  expect(order.lastIndexOf('soon')).toBeLessThan(order.indexOf('late'));
});

test('while something is dragged the keep rate goes on, and fixes rest until it is let go', async () => {
  const pool = createTrialPool([createTrialRunner()]);
  pool.hold(true);
  const compared = jest.fn();
  const fixes = drawn(pool, { rank: RANKS.fixes, takes: 300, onProgress: compared });
  expect((await drawn(pool, { rank: RANKS.keepRate, takes: 300 })).isDone).toBe(true);
  expect(compared).not.toHaveBeenCalled();
  pool.hold(false);
  expect((await fixes).isDone).toBe(true);
});

test('what can’t be judged has no rate, and what breaks is said and has none', async () => {
  const error = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { rates } = await drawn(createTrialPool([createTrialRunner()]), { asks: [askOf(newPlan()), ask], takes: 300 });
  expect(rates.map((rate) => rate?.takes ?? null)).toEqual([null, 300]);
  const broken = createTrialPool([{ run: () => Promise.reject(new Error('no')) }]);
  expect((await drawn(broken, { takes: 100 })).rates).toEqual([null]);
  expect(error).toHaveBeenCalledTimes(1);
});

test('an error left out is left out in the worker too', async () => {
  const { source } = errorSources(TWO_PEOPLE).find(({ source: { kind } }) => kind === 'marks')!;
  const { rates } = await drawn(createTrialPool([createTrialRunner()]), { asks: [ask, { ...ask, without: source }] });
  expect(rates[1]!.keepRate).toBeGreaterThan(rates[0]!.keepRate);
});

describe('a new request while trials are drawn', () => {
  /** A pool whose jobs go on when the test says so. */
  function slowPool() {
    const jobs: { job: TrialJob; isGivenUp: boolean }[] = [];
    const pool: TrialPool = {
      draw(job) {
        const entry = { job, isGivenUp: false };
        jobs.push(entry);
        return { cancel: () => (entry.isGivenUp = true) };
      },
      hold: () => undefined,
    };
    return { pool, jobs };
  }
  const progress = (isDone = false): TrialProgress => ({ rates: [], ideals: [], takesDone: 0, takesInAll: 0, isDone });

  test('first figures are awaited, then the newest request runs; those between are skipped', () => {
    const { pool, jobs } = slowPool();
    const rates = createLatestRates<string>(() => pool, { takes: 10, seed: 1, rank: 0 });
    const heard: string[] = [];
    rates.subscribe(() => heard.push(rates.latest()?.key.key ?? 'nothing'));
    for (const key of ['a', 'b', 'c']) rates.ask({ key: key, asks: [ask] });
    expect(jobs).toHaveLength(1);
    jobs[0]!.job.onProgress(progress());
    expect(heard).toEqual(['a']);
    expect([jobs.length, jobs[0]!.isGivenUp]).toEqual([2, true]);
    jobs[1]!.job.onProgress(progress(true));
    expect(heard).toEqual(['a', 'c']);
    // nothing runs any more: what is asked now starts at once
    rates.ask({ key: 'd', asks: [ask] });
    expect([jobs.length, jobs[1]!.isGivenUp]).toEqual([3, false]);
    rates.forget();
    expect([rates.latest(), jobs[2]!.isGivenUp]).toEqual([null, true]);
  });

  test('one that is paced draws to the end, then rests twice as long as that took', () => {
    jest.useFakeTimers();
    const { pool, jobs } = slowPool();
    const rates = createLatestRates<string>(() => pool, { takes: 10, seed: 1, rank: 0, isPaced: true });
    rates.ask({ key: 'a', asks: [ask] });
    jest.advanceTimersByTime(60);
    jobs[0]!.job.onProgress(progress());
    rates.ask({ key: 'b', asks: [ask] });
    expect([jobs.length, jobs[0]!.isGivenUp]).toEqual([1, false]);
    jest.advanceTimersByTime(40);
    jobs[0]!.job.onProgress(progress(true));
    rates.ask({ key: 'c', asks: [ask] });
    jest.advanceTimersByTime(190);
    expect(jobs).toHaveLength(1);
    jest.advanceTimersByTime(20);
    expect(jobs).toHaveLength(2);
    jobs[1]!.job.onProgress(progress(true));
    expect(rates.latest()!.key.key).toBe('c');
    // nothing waits: after the rest what is asked starts at once
    jest.advanceTimersByTime(300);
    rates.ask({ key: 'd', asks: [ask] });
    expect(jobs).toHaveLength(3);
    jest.useRealTimers();
  });

  test('once there are figures a new question gives the old one up; with nothing to ask nothing runs', () => {
    const { pool, jobs } = slowPool();
    const rates = createLatestRates<string>(() => pool, { takes: 10, seed: 1, rank: 0 });
    rates.ask({ key: 'a', asks: [ask] });
    jobs[0]!.job.onProgress(progress());
    rates.ask({ key: 'b', asks: [ask] });
    expect([jobs.length, jobs[0]!.isGivenUp]).toEqual([2, true]);
    jobs[1]!.job.onProgress(progress());
    rates.ask({ key: 'c', asks: [] });
    expect([jobs.length, jobs[1]!.isGivenUp]).toEqual([2, true]);
  });

  test('what is known may be enough: it stays, and nothing more is drawn', () => {
    const { pool, jobs } = slowPool();
    const rates = createLatestRates<string>(() => pool, { takes: 10, seed: 1, rank: 0 });
    rates.ask({ key: 'a', asks: [ask] });
    jobs[0]!.job.onProgress(progress());
    rates.settle();
    expect([rates.latest()!.key.key, jobs[0]!.isGivenUp]).toEqual(['a', true]);
    rates.ask({ key: 'b', asks: [ask] });
    expect(jobs).toHaveLength(2);
  });
});

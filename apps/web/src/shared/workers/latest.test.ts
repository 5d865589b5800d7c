import { newPlan, type PullVerdict, type ShotPlan } from '@still-heron/core';
import { createLatest, once } from './latest';

const createEvaluator = (evaluate: (plan: ShotPlan) => Promise<PullVerdict>) =>
  createLatest<ShotPlan, PullVerdict>({ start: once(evaluate), pace: 'newest' });

const plan = (durationS: number): ShotPlan => ({ ...newPlan(), durationS });
const verdict = { status: 'incomplete', missing: ['distance'] } as const satisfies PullVerdict;

/** A worker whose answers come when the test says so. */
function slowWorker() {
  const asked: { plan: ShotPlan; answer: (verdict: PullVerdict) => void; fail: (error: Error) => void }[] = [];
  return {
    asked,
    evaluate: (given: ShotPlan) => new Promise<PullVerdict>((answer, fail) => asked.push({ plan: given, answer, fail })),
  };
}

const settle = () => new Promise((done) => setTimeout(done, 0));

test('the ones between are never computed; an answer that is a plan old is shown while the next is computed', async () => {
  const worker = slowWorker();
  const evaluator = createEvaluator(worker.evaluate);
  const heard: number[] = [];
  evaluator.subscribe(() => heard.push(evaluator.latest()!.key.durationS));
  for (const durationS of [1, 2, 3, 4]) evaluator.ask(plan(durationS));
  expect(worker.asked.map((job) => job.plan.durationS)).toEqual([1]);
  worker.asked[0]!.answer(verdict);
  await settle();
  expect(worker.asked.map((job) => job.plan.durationS)).toEqual([1, 4]);
  expect(heard).toEqual([1]);
  worker.asked[1]!.answer(verdict);
  await settle();
  expect(heard).toEqual([1, 4]);
  evaluator.ask(plan(5));
  worker.asked[2]!.answer(verdict);
  await settle();
  expect(heard).toEqual([1, 4, 5]);
});

test('a plan that can’t be computed keeps the last verdict, and the next plan is computed', async () => {
  const error = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const worker = slowWorker();
  const evaluator = createEvaluator(worker.evaluate);
  evaluator.ask(plan(1));
  worker.asked[0]!.answer(verdict);
  await settle();
  evaluator.ask(plan(2));
  worker.asked[1]!.fail(new Error('no'));
  await settle();
  expect(evaluator.latest()!.key.durationS).toBe(1);
  evaluator.ask(plan(3));
  worker.asked[2]!.answer(verdict);
  await settle();
  expect(evaluator.latest()!.key.durationS).toBe(3);
  expect(error).toHaveBeenCalledTimes(1);
});

test('one who stops listening hears no more', async () => {
  const worker = slowWorker();
  const evaluator = createEvaluator(worker.evaluate);
  const listener = jest.fn();
  evaluator.subscribe(listener)();
  evaluator.ask(plan(1));
  worker.asked[0]!.answer(verdict);
  await settle();
  expect(listener).not.toHaveBeenCalled();
});

test('a forgotten answer is gone, and an answer on its way is dropped: another shot never shows it', async () => {
  const worker = slowWorker();
  const evaluator = createEvaluator(worker.evaluate);
  const heard = jest.fn();
  evaluator.subscribe(heard);
  evaluator.ask(plan(1));
  worker.asked[0]!.answer(verdict);
  await settle();
  evaluator.ask(plan(2));
  evaluator.forget();
  expect(evaluator.latest()).toBeNull();
  expect(heard).toHaveBeenCalledTimes(2);
  worker.asked[1]!.answer(verdict);
  await settle();
  expect(evaluator.latest()).toBeNull();
  evaluator.ask(plan(3));
  worker.asked[2]!.answer(verdict);
  await settle();
  expect(evaluator.latest()!.key.durationS).toBe(3);
});

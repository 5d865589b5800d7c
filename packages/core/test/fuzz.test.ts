import { checkPlan, type ShotPlan } from '../src/index';
import { PLAN_JSON_SCHEMA } from '../src/plan/index';
import { caseCount } from './caseCount';
import { FUZZED_PLANS, holdsNaN, QUICK, SEARCHES } from './fuzz';
import { mutated } from './mutated';

/** Largest number of frames of all subjects: a document that takes minutes is tried elsewhere. */
const MAX_FRAMES = 10_000;

/** Faults of functions that are given a valid plan. Each names the number from which the plan can be made again. */
function faultsOf(plan: ShotPlan, number: number, functions: Readonly<Record<string, (plan: ShotPlan) => unknown>>): string[] {
  return Object.entries(functions).flatMap(([name, act]) => {
    try {
      return holdsNaN(act(plan)) ? [`${number}: ${name} says NaN`] : [];
    } catch (error) {
      return [`${number}: ${name} throws: ${String(error)}`];
    }
  });
}

function validPlans(count: number, first: number): { plan: ShotPlan; number: number }[] {
  return Array.from({ length: count }, (_, k) => first + k).flatMap((number) => {
    const plan = mutated(FUZZED_PLANS[number % FUZZED_PLANS.length], PLAN_JSON_SCHEMA, number) as ShotPlan;
    if (checkPlan(plan).length > 0 || plan.durationS * plan.captureFps * plan.subjects.length > MAX_FRAMES) return [];
    return [{ plan, number }];
  });
}

test('a plan that the checker lets in is taken by every function, and gives figures', () => {
  const plans = validPlans(caseCount(160), 1);
  expect(plans.length).toBeGreaterThan(caseCount(160) / 3);
  expect(plans.flatMap(({ plan, number }) => faultsOf(plan, number, QUICK))).toEqual([]);
});

test('and by everything that searches among changed plans', () => {
  const plans = validPlans(caseCount(10), 100_000);
  expect(plans.flatMap(({ plan, number }) => faultsOf(plan, number, SEARCHES))).toEqual([]);
});

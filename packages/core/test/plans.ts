import { addPull, addSubject, changePull, newPlan, type ShotPlan } from '../src/index';

/** Two people standing at 2.90 m and 2.05 m, and one pull between them: 65 mm T3.2 on Super 35. */
export function twoPeople(): ShotPlan {
  let plan = addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });
  plan = addSubject(plan, { name: 'Ines', distanceMm: 2050 });
  plan = addPull(plan, 'mark-2', 4);
  return changePull(plan, 'pull-1', { startS: 4, durationS: 1 });
}

/** Four people and six pulls over a minute, as in the benchmarks. */
export function longShot(): ShotPlan {
  let plan: ShotPlan = { ...newPlan(), durationS: 60 };
  const people = [
    { name: 'Old Tam', distanceMm: 2900 },
    { name: 'Ines', distanceMm: 2050 },
    { name: 'Bohdan', distanceMm: 4600 },
    { name: 'the hand cart', distanceMm: 7200 },
  ];
  for (const person of people) plan = addSubject(plan, person);
  for (const [index, mark] of ['mark-2', 'mark-3', 'mark-1', 'mark-4', 'mark-2', 'mark-1'].entries())
    plan = addPull(plan, mark, 6 + 9 * index);
  return plan;
}

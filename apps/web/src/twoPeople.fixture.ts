import { addPull, addSubject, changePull, evaluatePull, type CompleteVerdict, newPlan, type ShotPlan } from '@still-heron/core';

/** Test data: two people standing at 2.90 m and 2.05 m, and a pull between them from 4 to 5 s. */
export const TWO_PEOPLE: ShotPlan = changePull(
  addPull(
    addSubject(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), { name: 'Ines', distanceMm: 2050 }),
    'mark-2',
    4,
  ),
  'pull-1',
  { startS: 4, durationS: 1 },
);

export const judge = (plan: ShotPlan) => evaluatePull(plan) as CompleteVerdict;

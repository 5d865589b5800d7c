import { addPull, addStay, addSubject, newPlan } from '@still-heron/core';

/** The largest plan that is allowed: ten minutes, twelve people who walk, sixty pulls. */
export function largestShot() {
  let plan = { ...newPlan(), durationS: 600 };
  for (let who = 0; who < 12; who++) plan = addSubject(plan, { name: `Person ${who + 1}`, distanceMm: 1500 + who * 700 });
  for (let who = 0; who < 12; who++)
    plan = addStay(plan, `subject-${who + 1}`, { distanceMm: 1800 + ((who * 5) % 12) * 600, fromS: 60 + who * 40 });
  for (let pull = 0; pull < 60; pull++) plan = addPull(plan, `mark-${((pull * 7) % 12) + 1}`, 4 + pull * 9.8);
  return plan;
}

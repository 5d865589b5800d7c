import { type FloorDistances, floorDistances } from '../floor/index.js';
import type { ShotPlan } from './shotPlan.js';

/** Of each plan's marks its distances: a plan is never changed, only replaced, and is asked from many sides. */
const known = new WeakMap<ShotPlan['marks'], { plan: Drawn; distances: FloorDistances }>();

type Drawn = Pick<ShotPlan, 'floor' | 'subjects' | 'marks'>;

/** Everyone's distance over time in this plan, drawn or taped. */
export function planDistances(plan: Drawn): FloorDistances {
  const { floor, subjects, marks } = plan;
  const last = known.get(marks);
  if (last?.plan.floor === floor && last.plan.subjects === subjects) return last.distances;
  const distances = floorDistances(floor, subjects, marks);
  known.set(marks, { plan: { floor, subjects, marks }, distances });
  return distances;
}

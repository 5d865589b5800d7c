import { floorDistances, type FloorDistances } from '../floor/index.js';
import type { ShotPlan } from './shotPlan.js';

/** Cached distances by the marks of a plan. A plan is immutable, and many callers ask for the same one. */
const known = new WeakMap<ShotPlan['marks'], { plan: Drawn; distances: FloorDistances }>();

type Drawn = Pick<ShotPlan, 'floor' | 'subjects' | 'marks'>;

/** Focus distances of all subjects of a plan over time, drawn or taped. */
export function planDistances(plan: Drawn): FloorDistances {
  const { floor, subjects, marks } = plan;
  const last = known.get(marks);
  if (last?.plan.floor === floor && last.plan.subjects === subjects) return last.distances;
  const distances = floorDistances(floor, subjects, marks);
  known.set(marks, { plan: { floor, subjects, marks }, distances });
  return distances;
}

import { type FloorDistances, floorDistances } from '../floor/index.js';
import type { ShotPlan } from './shotPlan.js';

/** Everyone's distance over time in this plan, drawn or taped. */
export function planDistances({ floor, subjects, marks }: Pick<ShotPlan, 'floor' | 'subjects' | 'marks'>): FloorDistances {
  return floorDistances(floor, subjects, marks);
}

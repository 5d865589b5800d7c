import { planDistances } from '../planDistances.js';
import type { ShotPlan } from '../shotPlan.js';

/** The heading of the lens axis at a time, in degrees anticlockwise from x. */
export function cameraHeading(plan: ShotPlan, timeS: number): number {
  return planDistances(plan).headingAt(timeS);
}

import { planDistances } from '../planDistances.js';
import type { ShotPlan } from '../shotPlan.js';

/** Heading of the lens axis at a time, in degrees anticlockwise from the x axis. */
export function cameraHeading(plan: ShotPlan, timeS: number): number {
  return planDistances(plan).headingAt(timeS);
}

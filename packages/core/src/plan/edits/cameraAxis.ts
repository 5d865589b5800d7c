import { planDistances } from '../planDistances.js';
import type { ShotPlan } from '../shotPlan.js';

/** Direction of the lens axis at a time: heading anticlockwise from the x axis, tilt upwards. */
export function cameraAxis(plan: ShotPlan, timeS: number): { deg: number; tiltDeg: number } {
  const { headingDeg, forward } = planDistances(plan).cameraAt(timeS) ?? { headingDeg: 0, forward: [1, 0, 0] as const };
  return { deg: headingDeg, tiltDeg: (Math.asin(forward[2]) * 180) / Math.PI };
}

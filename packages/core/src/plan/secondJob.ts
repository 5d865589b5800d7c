import { type Hand, handAtTwoJobs } from '../hand/index.js';
import { CARRIED_SUPPORTS } from '../kit/index.js';
import type { Drawn } from './byDrawing.js';
import { planDistances } from './planDistances.js';
import { type OpticsChange, pullEndS, type ShotPlan } from './shotPlan.js';

/** What the person who pulls focus does besides. */
export const SECOND_JOBS = ['framing', 'iris', 'zoom'] as const;
export type SecondJob = (typeof SECOND_JOBS)[number];

/** Time before and after over which a movement of the camera is looked for. */
const AROUND_S = 0.1;
/** Smaller movements of the camera need no operator. */
const LEAST_TURN_DEG = 0.1;
const LEAST_MOVE_MM = 2;

/**
 * Second job of the puller at a time, such as the landing of a pull. The person who pulls focus also turns the iris. Somebody
 * alone zooms as well, and frames: all the time with a camera that is carried, and otherwise while it moves or pans.
 *
 * @returns null if nothing else is to do
 */
export function secondJobAt(plan: ShotPlan, timeS: number): SecondJob | null {
  const { irisPulls, zooms } = plan.optics;
  const runs = (change: OpticsChange) => change.startS < timeS && pullEndS(change) >= timeS;
  if (irisPulls.some(runs)) return 'iris';
  if (plan.rig?.puller !== 'alone') return null;
  if (zooms.some(runs)) return 'zoom';
  return CARRIED_SUPPORTS.includes(plan.rig.support) || isCameraMovingAt(plan, timeS) ? 'framing' : null;
}

/** The hand as it is at a time: harder pressed while the puller has a second job. */
export function handAt(plan: ShotPlan, timeS: number): Hand {
  return secondJobAt(plan, timeS) === null ? plan.hand : handAtTwoJobs(plan.hand);
}

/** Whether the camera moves, pans or tilts at a time. */
export function isCameraMovingAt(plan: Drawn, timeS: number): boolean {
  const { cameraAt } = planDistances(plan);
  const [before, after] = [cameraAt(Math.max(timeS - AROUND_S, 0)), cameraAt(timeS + AROUND_S)];
  if (!before || !after) return false;
  const [a, b] = [before.camera, after.camera];
  const cosine = before.forward.reduce((sum, part, axis) => sum + part * after.forward[axis]!, 0);
  const turnDeg = (Math.acos(Math.min(cosine, 1)) * 180) / Math.PI;
  return turnDeg > LEAST_TURN_DEG || Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm, b.heightMm - a.heightMm) > LEAST_MOVE_MM;
}

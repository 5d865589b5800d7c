import { hasAssumedUncertainty, type Mark, measureSigmaMm, type StaleReason } from '../floor/index.js';
import { markSetS, planDistances } from './planDistances.js';
import { typedReadingSigmaMm } from './readings.js';
import type { ShotPlan } from './shotPlan.js';

/** Why a measured distance is in doubt: `drawing` if the mark or the camera was moved in the drawing after the tape was read. */
export type StaleCause = StaleReason | 'drawing';

/** A smaller difference is rounding, even at a spread of 0. */
const MIN_MOVE_MM = 1;

/** Why the measured distance of a mark is in doubt; null while it holds. A drawn distance is never in doubt because of the drawing. */
export function staleCause(plan: ShotPlan, mark: Mark): StaleCause | null {
  return mark.stale ?? (isMovedSinceTaping(plan, mark) ? 'drawing' : null);
}

/** Marks whose measured distance is in doubt, in the order of the plan. */
export function staleMarks(plan: ShotPlan): readonly Mark[] {
  return plan.marks.filter((mark) => staleCause(plan, mark) !== null);
}

/** Whether the drawn distance differs from what it was when the tape was read, by more than the tape's own spread. */
function isMovedSinceTaping(plan: ShotPlan, mark: Mark): boolean {
  const { taping, method, uncertaintyMm } = mark;
  if (taping === null || method === 'drawn' || plan.floor === null) return false;
  const nowMm = drawnTapeMm(plan, mark);
  return nowMm !== null && Math.abs(nowMm - taping.drawnMm) > Math.max(uncertaintyMm, MIN_MOVE_MM);
}

/** What a tape would read now from the place that a mark was taped from, by the drawing; null for a mark that is not drawn. */
export function drawnTapeMm(plan: ShotPlan, mark: Mark): number | null {
  if (mark.distanceMm === null) return null;
  return planDistances(plan).drawnSightAt(mark.id, mark.taping?.timeS ?? markSetS(plan, mark))?.tapeMm ?? null;
}

/**
 * Spread of a mark's distance, one standard deviation in mm. A tape that the drawing has carried to another place is no better than a drawn
 * distance, unless its spread was typed. A reading whose spread was typed adds it.
 */
export function distanceSigmaMm(plan: ShotPlan, mark: Mark): number {
  if (staleCause(plan, mark) !== 'drawing' || !hasAssumedUncertainty(mark))
    return Math.hypot(mark.uncertaintyMm, typedReadingSigmaMm(plan, mark));
  return Math.max(mark.uncertaintyMm, measureSigmaMm('drawn', planDistances(plan).markFocusAt(mark.id, 0)));
}

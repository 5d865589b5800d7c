import { markFocusMm } from '../planDistances.js';
import { PLAN_LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { drawAtDistance } from './floor.js';
import { clamp } from './ids.js';
import { changeMark } from './marks.js';
import { isReadOff } from '../readings.js';
import { setReading } from './readings.js';

/** Steps of the search. The ring depends almost linearly on the tape, so that few are enough. */
const STEPS = 5;
/** A smaller difference counts as met. */
const EXACT_MM = 1e-6;

/**
 * Measures a mark again, so that the ring is set to a distance for it: another tape, or another place if the mark is only drawn. Off the axis,
 * and with a camera that has moved on when focus lands, the tape is another distance than the ring.
 *
 * @param focusMm - finite
 */
export function setMarkFocus(before: ShotPlan, markId: string, focusMm: number): ShotPlan {
  // a distance that follows from a reading is no longer that of the reading
  const isRead = before.marks.some((mark) => mark.id === markId && isReadOff(mark));
  const plan = isRead ? setReading(before, markId, null) : before;
  const isDrawn = plan.marks.some(({ id, method }) => id === markId && method === 'drawn');
  const { min, max } = PLAN_LIMITS.distanceMm;
  const measured = (tapeMm: number) =>
    isDrawn ? drawAtDistance(plan, markId, tapeMm) : changeMark(plan, markId, { distanceMm: clamp(tapeMm, min, max) });
  let tapeMm = focusMm;
  let result = measured(tapeMm);
  let ringPerTape = 1;
  for (let step = 0; plan.floor !== null && step < STEPS; step++) {
    const ringMm = markFocusMm(result, markId);
    if (Math.abs(focusMm - ringMm) < EXACT_MM) break;
    const byMm = (focusMm - ringMm) / ringPerTape;
    tapeMm += byMm;
    result = measured(tapeMm);
    const changedMm = markFocusMm(result, markId) - ringMm;
    if (changedMm / byMm > 0) ringPerTape = changedMm / byMm;
  }
  return result;
}

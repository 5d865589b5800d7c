import type { Mark } from '../floor/index.js';
import { fNumberOf, ringOf, stopOfFNumber, stopsAt, withinReach } from '../kit/index.js';
import { stopForAllowance } from '../optics/index.js';
import { focalLengthAt, type ShotPlan, stopAt, zoneLensAt } from '../plan/index.js';
import { markReading } from './markReading.js';

/** Whether a subject may miss a mark by a given amount, and the stop that would allow it. Stops as engraved. */
export type MissAllowance =
  | { readonly status: 'allowed'; readonly nearerMm: number; readonly fartherMm: number }
  | {
      readonly status: 'needs-stop';
      /** Widest stop of the lens that allows it */
      readonly stop: number;
      /** Light lost compared with the current stop, in stops */
      readonly stops: number;
    }
  /** Even the narrowest stop of the lens does not allow it */
  | { readonly status: 'not-on-this-lens'; readonly wouldNeedStop: number };

/**
 * Whether a subject may miss a mark by `missMm`, nearer or farther, and stay sharp. If not, the stop at which it may.
 *
 * @param missMm - each way, at least 0
 */
export function missAllowance(plan: ShotPlan, mark: Mark, missMm: number): MissAllowance {
  const { nearerMm, fartherMm, focusMm, atS } = markReading(plan, mark);
  if (missMm <= nearerMm && missMm <= fartherMm) return { status: 'allowed', nearerMm, fartherMm };
  const { lens } = plan.optics;
  const glass = zoneLensAt(plan.optics, atS);
  const needed = stopForAllowance(glass, withinReach(ringOf(lens), focusMm), missMm, focusMm === Infinity ? 0 : missMm);
  const stop = stopsAt(lens, focalLengthAt(plan.optics, atS)).find((offered) => fNumberOf(lens, offered) >= needed);
  if (stop === undefined) return { status: 'not-on-this-lens', wouldNeedStop: stopOfFNumber(lens, needed) };
  return { status: 'needs-stop', stop, stops: 2 * Math.log2(stop / stopAt(plan.optics, atS)) };
}

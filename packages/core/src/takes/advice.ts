import type { ShotPlan } from '../pull/index.js';
import { type Correction, corrections } from './corrections.js';
import type { Take } from './take.js';

/** Whether to go again. */
export interface NextAdvice {
  /** `first`: nothing was taken yet; `move-on`: there is one to use, or it happens once; `change-first`: a fault came twice, and something can be done; `go-again`: as it is */
  readonly advice: 'first' | 'move-on' | 'change-first' | 'go-again';
  /** Takes that can be used */
  readonly kept: number;
  /** What the last takes say should be done otherwise, the most frequent first */
  readonly corrections: readonly Correction[];
}

/** A fault that came so often is no accident. */
const OFTEN = 2;

/** Whether a take can be used: it is circled, or sharp and not played badly. */
export function isUsable({ isCircled, focus, performance }: Pick<Take, 'isCircled' | 'focus' | 'performance'>): boolean {
  return isCircled || (focus === 'sharp' && performance !== 'poor');
}

/**
 * Go again, or move on.
 *
 * @param takes - the latest last
 */
export function adviseNext(
  plan: ShotPlan,
  takes: readonly Pick<Take, 'isCircled' | 'focus' | 'performance' | 'hits'>[],
): NextAdvice {
  const kept = takes.filter(isUsable).length;
  const found = corrections(
    plan,
    takes.map(({ hits }) => hits),
  ).sort((a, b) => b.times - a.times);
  const isOver = kept > 0 || (plan.wanted.isOneChance && takes.length > 0);
  const advice =
    takes.length === 0 ? 'first' : isOver ? 'move-on' : (found[0]?.times ?? 0) >= OFTEN ? 'change-first' : 'go-again';
  return { advice, kept, corrections: found };
}

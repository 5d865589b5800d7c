import type { ShotPlan } from '../pull/index.js';
import { type Correction, corrections } from './corrections.js';
import { screenS } from './edit/rates.js';
import { usableSpansOf } from './edit/usableSpans.js';
import type { Take } from './take.js';

/** Whether to go again. */
export interface NextAdvice {
  /** `first`: nothing was taken yet; `move-on`: there is one to use, or it happens once; `too-short`: there is one, and nothing in it is as long as the screen asks; `change-first`: a fault came twice, and something can be done; `go-again`: as it is */
  readonly advice: 'first' | 'move-on' | 'too-short' | 'change-first' | 'go-again';
  /** Takes that can be used */
  readonly kept: number;
  /** What can be used of those in one go, at its longest, on the screen; 0 for none */
  readonly longestScreenS: number;
  /** What the last takes say should be done otherwise, the most frequent first */
  readonly corrections: readonly Correction[];
}

/** A fault that came so often is no accident. */
const OFTEN = 2;
/** Shorter by less than a frame is long enough. */
const LENGTH_SLACK_S = 0.05;

/** Whether a take can be used: it is circled, or sharp and not played badly. */
export function isUsable({ isCircled, focus, performance }: Pick<Take, 'isCircled' | 'focus' | 'performance'>): boolean {
  return isCircled || (focus === 'sharp' && performance !== 'poor');
}

/**
 * Go again, or move on: by whether a take can be used, whether what can be used of it is as long as the plan asks on the screen, and by faults that come again.
 *
 * @param takes - the latest last
 */
export function adviseNext(plan: ShotPlan, takes: readonly Omit<Take, 'track'>[]): NextAdvice {
  const usable = takes.filter(isUsable);
  const found = corrections(
    plan,
    takes.map(({ hits }) => hits),
  ).sort((a, b) => b.times - a.times);
  const lengths = usable.flatMap((take) => usableSpansOf(take).map(({ fromS, toS }) => toS - fromS));
  const longestScreenS = screenS(Math.max(0, ...lengths), plan.captureFps, plan.deliveryFps);
  return { advice: adviceOf(), kept: usable.length, longestScreenS, corrections: found };

  function adviceOf(): NextAdvice['advice'] {
    if (takes.length === 0) return 'first';
    const isLongEnough = longestScreenS >= (plan.wanted.screenS ?? 0) - LENGTH_SLACK_S;
    if (plan.wanted.isOneChance || (usable.length > 0 && isLongEnough)) return 'move-on';
    if ((found[0]?.times ?? 0) >= OFTEN) return 'change-first';
    return usable.length > 0 ? 'too-short' : 'go-again';
  }
}

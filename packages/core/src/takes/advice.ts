import type { ShotPlan } from '../plan/index.js';
import { type Correction, corrections } from './corrections.js';
import { screenTimeS } from './editorial/frameRates.js';
import { type FindingCorrection, findingCorrections } from './findingCorrections.js';
import { usableSpansOf } from './editorial/usableSpans.js';
import { isKeptTake, isSimulated, isUsable, takesOfAlternate } from './said.js';
import type { Take } from './take.js';

/** Advice on whether to go again. */
export interface NextAdvice {
  /**
   * `first`: no take yet. `move-on`: a take can be used, or the shot is one-chance. `too-short`: one can be used, but no span
   * is as long as the goal. `say-first`: nobody has said how a take was, and none can be used so far. `change-first`: the same fault came twice and can be corrected. `go-again`: roll again unchanged
   */
  readonly advice: 'first' | 'move-on' | 'too-short' | 'say-first' | 'change-first' | 'go-again';
  /** Number of takes that count */
  readonly takes: number;
  /** Takes of which nobody said, and no track shows, whether they were kept */
  readonly notSaid: number;
  /** Number of takes that can be used */
  readonly kept: number;
  /** Longest usable span of those, on screen; 0 for none */
  readonly longestScreenS: number;
  /** Corrections from the latest takes, most frequent first */
  readonly corrections: readonly Correction[];
  /** The same for faults at other places than pulls */
  readonly others: readonly FindingCorrection[];
}

/** A fault that occurs this often is no accident. */
const REPEATED = 2;
/** Tolerance of the requested length: below a frame. */
const LENGTH_TOLERANCE_S = 0.05;

/**
 * Advises to go again or to move on, from usable takes, their length on screen, and repeated faults. Of a shot with alternates only takes of the
 * one that is shown count, and those of a simulator only while there are no others.
 *
 * @param all - latest last
 */
export function adviseNext(plan: ShotPlan, all: readonly Omit<Take, 'track'>[]): NextAdvice {
  const mine = takesOfAlternate(plan, all);
  const real = mine.filter((take) => !isSimulated(take));
  const takes = real.length > 0 ? real : mine;
  const usable = takes.filter(isUsable);
  const found = corrections(
    plan,
    takes.map(({ hits }) => hits),
  ).sort((a, b) => b.times - a.times);
  const others = findingCorrections(
    plan,
    takes.map(({ findings }) => findings),
  ).sort((a, b) => b.times - a.times);
  const lengths = usable.flatMap((take) => usableSpansOf(take).map(({ fromS, toS }) => toS - fromS));
  const longestScreenS = screenTimeS(Math.max(0, ...lengths), plan.captureFps, plan.deliveryFps);
  const notSaid = takes.filter((take) => isKeptTake(take) === null && !take.isCircled).length;
  return { advice: adviceOf(), takes: takes.length, notSaid, kept: usable.length, longestScreenS, corrections: found, others };

  function adviceOf(): NextAdvice['advice'] {
    if (takes.length === 0) return 'first';
    const isLongEnough = longestScreenS >= (plan.goals.screenTimeS ?? 0) - LENGTH_TOLERANCE_S;
    if (plan.goals.isOneChance || (usable.length > 0 && isLongEnough)) return 'move-on';
    if (usable.length === 0 && notSaid > 0) return 'say-first';
    if (Math.max(found[0]?.times ?? 0, others[0]?.times ?? 0) >= REPEATED) return 'change-first';
    return usable.length > 0 ? 'too-short' : 'go-again';
  }
}

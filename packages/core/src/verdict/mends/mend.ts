import type { Easing, ShotPlan } from '../../pull/index.js';
import { evaluatePull } from '../evaluatePull.js';
import type { JudgedPull } from '../pullVerdict.js';

/** What a fix changes in the plan. */
export type MendChange =
  /** A pull starts earlier or later; or starts earlier or later and lands at the same time */
  | { readonly kind: 'earlier' | 'later' | 'longer' | 'shorter'; readonly moveId: string; readonly byS: number }
  | { readonly kind: 'easing'; readonly moveId: string; readonly easing: Easing }
  /** The line goes on with someone, from a time on; it leads them by so much */
  | { readonly kind: 'follow'; readonly subjectId: string; readonly leadS: number }
  | { readonly kind: 'lead'; readonly subjectId: string; readonly leadS: number }
  /** The ring is set between those who must be sharp; `at` names a thing on the floor that stands there */
  | { readonly kind: 'split' | 'stand-in'; readonly fromMm: number; readonly toMm: number; readonly at: string | null }
  /** Two are asked for in the other order, so that the move lands where there is more room */
  | { readonly kind: 'other-order'; readonly firstId: string; readonly secondId: string }
  | { readonly kind: 'reversed' }
  | { readonly kind: 'stop'; readonly from: number; readonly to: number }
  /** Someone's way ends sooner */
  | { readonly kind: 'shorter-walk'; readonly subjectId: string; readonly toMm: number }
  | { readonly kind: 'step-back'; readonly byMm: number }
  | { readonly kind: 'gear'; readonly wheelPerRing: number }
  | { readonly kind: 'hard-stops'; readonly letters: readonly string[] }
  | { readonly kind: 'lay-line'; readonly holds: number };

/** A tried fix: the change, its result and its cost. */
export interface Mend {
  readonly change: MendChange;
  readonly plan: ShotPlan;
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Light lost in stops; 0 for none */
  readonly stopsLost: number;
}

/** Result of a plan, as far as fixes are compared by it. */
export interface Result {
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Number of beats that are not kept */
  readonly beatsLost: number;
}

const RANK: Readonly<Record<JudgedPull['outcome'], number>> = { soft: 0, 'beyond-the-hand': 1, barely: 2, sharp: 3 };

export function resultOf({ outcome, sharpFrames, requiredFrames, captureFps, beats }: JudgedPull): Result {
  const beatsLost = beats.filter(({ kept }) => !kept).length;
  return { outcome, sharpS: sharpFrames / captureFps, requiredS: requiredFrames / captureFps, beatsLost };
}

/**
 * Improvement of one result over another, positive if better: soft seconds first, then kept beats, then the grade of the pulls.
 */
export function gain(a: Result, b: Result): number {
  const softS = ({ sharpS, requiredS }: Result) => requiredS - sharpS;
  if (Math.abs(softS(a) - softS(b)) > 1e-6) return softS(b) - softS(a);
  return a.beatsLost === b.beatsLost ? RANK[a.outcome] - RANK[b.outcome] : b.beatsLost - a.beatsLost;
}

export type Tried = Mend & Result;

/** Evaluates a changed plan; empty if it can't be evaluated. */
export function tried(change: MendChange, plan: ShotPlan, stopsLost = 0): Tried[] {
  const verdict = evaluatePull(plan);
  return verdict.status === 'judged' ? [{ change, plan, stopsLost, ...resultOf(verdict) }] : [];
}

/** The first of those with the largest gain: the smallest change, if they are sorted by size. */
export function smallestBest(all: readonly Tried[]): Tried[] {
  return all.reduce<Tried[]>((best, mend) => (best[0] && gain(mend, best[0]) <= 0 ? best : [mend]), []);
}

import type { Easing, ShotPlan } from '../../pull/index.js';
import { evaluatePull } from '../evaluatePull.js';
import type { JudgedPull } from '../pullVerdict.js';

/** What is changed, in the terms of the plan that is mended. */
export type MendChange =
  /** A move starts sooner or later, or starts sooner or later and lands when it did */
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

/** Something that would mend a plan, tried: what it is, what would come of it, and what it costs. */
export interface Mend {
  readonly change: MendChange;
  readonly plan: ShotPlan;
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Light lost, in stops; 0 for what costs none */
  readonly stopsLost: number;
}

/** How a plan comes out, as far as mends are compared by it. */
export interface Result {
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Beats that are not kept */
  readonly beatsLost: number;
}

const RANK: Readonly<Record<JudgedPull['outcome'], number>> = { soft: 0, 'beyond-the-hand': 1, barely: 2, sharp: 3 };

export function resultOf({ outcome, sharpFrames, requiredFrames, captureFps, beats }: JudgedPull): Result {
  const beatsLost = beats.filter(({ kept }) => !kept).length;
  return { outcome, sharpS: sharpFrames / captureFps, requiredS: requiredFrames / captureFps, beatsLost };
}

/** How much better one result is than another, above 0 for better: seconds that are no longer soft come first, then beats that are kept, then how it sits with the hand. */
export function gain(a: Result, b: Result): number {
  const softS = ({ sharpS, requiredS }: Result) => requiredS - sharpS;
  if (Math.abs(softS(a) - softS(b)) > 1e-6) return softS(b) - softS(a);
  return a.beatsLost === b.beatsLost ? RANK[a.outcome] - RANK[b.outcome] : b.beatsLost - a.beatsLost;
}

export type Tried = Mend & Result;

/** Judges a changed plan; none when it can't be judged. */
export function tried(change: MendChange, plan: ShotPlan, stopsLost = 0): Tried[] {
  const verdict = evaluatePull(plan);
  return verdict.status === 'judged' ? [{ change, plan, stopsLost, ...resultOf(verdict) }] : [];
}

/** The first of those that gain most: the smallest change, where they are tried in order of size. */
export function smallestBest(all: readonly Tried[]): Tried[] {
  return all.reduce<Tried[]>((best, mend) => (best[0] && gain(mend, best[0]) <= 0 ? best : [mend]), []);
}

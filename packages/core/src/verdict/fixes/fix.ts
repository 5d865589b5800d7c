import type { Easing } from '../../hand/index.js';
import type { ShotPlan } from '../../plan/index.js';
import { evaluateResult, type VerdictResult } from '../evaluatePull.js';
import type { KnownFrames, TrackFrames } from '../frames.js';
import type { CompleteVerdict } from '../pullVerdict.js';

/** What a fix changes in the plan. */
export type FixChange =
  /** A pull starts earlier or later; or starts earlier or later and lands at the same time */
  | { readonly kind: 'earlier' | 'later' | 'longer' | 'shorter'; readonly pullId: string; readonly byS: number }
  | { readonly kind: 'easing'; readonly pullId: string; readonly easing: Easing }
  /** The track follows a subject from a time on, with a lead */
  | { readonly kind: 'follow'; readonly subjectId: string; readonly leadS: number }
  | { readonly kind: 'lead'; readonly subjectId: string; readonly leadS: number }
  /** The ring is set between those who must be sharp; `at` names a thing on the floor that stands there */
  | { readonly kind: 'split' | 'reference'; readonly fromMm: number; readonly toMm: number; readonly at: string | null }
  /** Two are asked for in the other order, so that the move lands where there is more room */
  | { readonly kind: 'other-order'; readonly firstId: string; readonly secondId: string }
  | { readonly kind: 'reversed' }
  | { readonly kind: 'stop'; readonly from: number; readonly to: number }
  /** Someone's way ends sooner */
  | { readonly kind: 'shorter-walk'; readonly subjectId: string; readonly toMm: number }
  | { readonly kind: 'step-back'; readonly byMm: number }
  /** A mark lies so far to the side that its subject hides nobody there, or is hidden by nobody */
  | { readonly kind: 'step-aside'; readonly subjectId: string; readonly markId: string; readonly byMm: number }
  | { readonly kind: 'gear'; readonly wheelPerRing: number }
  | { readonly kind: 'hard-stops'; readonly letters: readonly string[] }
  | { readonly kind: 'solve-track'; readonly holds: number; readonly cuesGivenUp: number };

/** A tried fix: the change, its result and its cost. */
export interface Fix {
  readonly change: FixChange;
  readonly plan: ShotPlan;
  readonly outcome: CompleteVerdict['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Light lost in stops; 0 for none */
  readonly stopsLost: number;
}

/** Result of a plan, as far as fixes are compared by it. */
export interface FixResult {
  readonly outcome: CompleteVerdict['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Number of beats that are not kept */
  readonly beatsLost: number;
  /** Seconds of beats that count neither way, such as those in which their subjects are hidden */
  readonly unjudgedS: number;
}

const RANK: Readonly<Record<CompleteVerdict['outcome'], number>> = { soft: 0, 'too-hard': 1, tight: 2, sharp: 3 };

export function fixResultOf({ outcome, sharpFrames, requiredFrames, captureFps, beats }: VerdictResult): FixResult {
  const beatsLost = beats.filter(({ kept }) => !kept).length;
  const unjudgedFrames = beats.reduce((sum, beat) => sum + (beat.kind === 'none' ? 0 : beat.unjudgedFrames), 0);
  return {
    outcome,
    sharpS: sharpFrames / captureFps,
    requiredS: requiredFrames / captureFps,
    beatsLost,
    unjudgedS: unjudgedFrames / captureFps,
  };
}

/**
 * Improvement of one result over another, positive if better: soft seconds first, then kept beats, the grade of the pulls, and
 * how long somebody is hidden.
 */
export function gain(a: FixResult, b: FixResult): number {
  const softS = ({ sharpS, requiredS }: FixResult) => requiredS - sharpS;
  if (Math.abs(softS(a) - softS(b)) > 1e-6) return softS(b) - softS(a);
  return b.beatsLost - a.beatsLost || RANK[a.outcome] - RANK[b.outcome] || b.unjudgedS - a.unjudgedS;
}

export type TriedFix = Fix & FixResult;

/** The plan to be mended, as evaluated. */
export interface FixBase {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict;
  readonly track: TrackFrames;
}

/** Frames of the base outside a span of time in which a changed plan may differ. */
export function knownOutside({ verdict, track }: FixBase, fromS: number, toS: number): KnownFrames {
  const { captureFps, frameCount, subjects } = verdict;
  const fromFrame = Math.max(0, Math.floor(fromS * captureFps) - 1);
  return { track, subjects, fromFrame, toFrame: Math.min(frameCount, Math.ceil(toS * captureFps) + 1) };
}

/**
 * Evaluates a changed plan; empty if it can't be evaluated.
 *
 * @param known - frames that the change leaves as they are
 */
export function tryFix(change: FixChange, plan: ShotPlan, stopsLost = 0, known?: KnownFrames): TriedFix[] {
  const result = evaluateResult(plan, known);
  return result ? [{ change, plan, stopsLost, ...fixResultOf(result) }] : [];
}

/** The first of those with the largest gain: the smallest change, if they are sorted by size. */
export function smallestBest(all: readonly TriedFix[]): TriedFix[] {
  return all.reduce<TriedFix[]>((best, mend) => (best[0] && gain(mend, best[0]) <= 0 ? best : [mend]), []);
}

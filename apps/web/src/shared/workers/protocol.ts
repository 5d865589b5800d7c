import type {
  Improvement,
  CompleteVerdict,
  TrackSolution,
  SmallestChange,
  SolverWay,
  Fix,
  MethodOffer,
  PullVerdict,
  ShotPlan,
  TimeSpan,
  UnitSystem,
} from '@still-heron/core';
import type { SentencePart } from '@still-heron/wording';
import type { TrialRunner } from './simulation/trialRunner';

/** Summary of a verdict for a shot's row. */
export interface ShotSummary {
  readonly outcome:
    | ('incomplete' | 'sharp' | 'tight' | 'too-hard' | 'soft' | 'unreadable')
    /** Focus is left to the camera */
    | ('autofocus' | 'autofocus-at-risk' | 'autofocus-refused');
  readonly parts: readonly SentencePart[];
  /** Focus track as ring position, 0 (far end) to 1 (near end), evenly spaced in time; empty without a track */
  readonly sketch: readonly number[];
  /** Soft spans as shares of the shot's duration */
  readonly softSpans: readonly { readonly from: number; readonly to: number }[];
}

/** By subject: when it is in the picture. Null for a subject that is not on the floor */
export type Framings = ReadonlyMap<string, readonly TimeSpan[] | null>;

/** A worked-out track with its result. */
export interface TrackOffer {
  readonly solution: TrackSolution;
  readonly outcome: CompleteVerdict['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** All requirements are met */
  readonly isWhole: boolean;
  /** Peak speed of the wheel or ring */
  readonly fastestDegPerS: number;
}

/** Interface of a page worker. Several workers share it. Only comlink deals with messages. */
export interface EvaluatorWorker extends TrialRunner {
  evaluate(plan: ShotPlan): PullVerdict;
  framings(plan: ShotPlan): Framings;
  summarise(plan: ShotPlan, units: UnitSystem): Promise<ShotSummary>;
  /** Fixes, best first; tells how many kinds are tried, of how many */
  fixes(plan: ShotPlan, onTried: (kinds: number, total: number) => void): Promise<Fix[]>;
  /** A track worked out in one way; null if there is nothing to work out */
  trackOffer(plan: ShotPlan, way: SolverWay): Promise<TrackOffer | null>;
  /** Changes that make an impossible plan possible */
  smallestChanges(plan: ShotPlan): Promise<SmallestChange[]>;
  /** Possible improvements, not simulated yet */
  improvements(plan: ShotPlan): Promise<Improvement[]>;
  /** Plans of all focus methods, not simulated yet */
  methods(plan: ShotPlan): Promise<MethodOffer[]>;
}

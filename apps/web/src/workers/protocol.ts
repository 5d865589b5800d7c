import type {
  Help,
  JudgedPull,
  LaidLine,
  LeastChange,
  LineWay,
  Mend,
  MethodOffer,
  PullVerdict,
  SentencePart,
  ShotPlan,
  UnitSystem,
} from '@still-heron/core';
import type { TakeRunner } from './takes/takeRunner';

/** Summary of a verdict for a shot's row. */
export interface ShotSummary {
  readonly outcome: 'incomplete' | 'sharp' | 'barely' | 'beyond-the-hand' | 'soft' | 'unreadable';
  readonly parts: readonly SentencePart[];
  /** Focus track as ring position, 0 (far end) to 1 (near end), evenly spaced in time; empty without a track */
  readonly sketch: readonly number[];
  /** Soft spans as shares of the shot's duration */
  readonly softSpans: readonly { readonly from: number; readonly to: number }[];
}

/** A worked-out track with its result. */
export interface LayOffer {
  readonly laid: LaidLine;
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** All requirements are met */
  readonly isWhole: boolean;
  /** Peak speed of the wheel or ring */
  readonly fastestDegPerS: number;
}

/** Interface of a page worker. Several workers share it. Only comlink deals with messages. */
export interface EvaluatorWorker extends TakeRunner {
  evaluate(plan: ShotPlan): PullVerdict;
  summarise(plan: ShotPlan, units: UnitSystem): ShotSummary;
  /** Fixes, best first */
  mends(plan: ShotPlan): Mend[];
  /** A track worked out in one way; null if there is nothing to work out */
  layOffer(plan: ShotPlan, way: LineWay): LayOffer | null;
  /** Changes that make an impossible plan possible */
  leastChanges(plan: ShotPlan): LeastChange[];
  /** Possible improvements, not simulated yet */
  helps(plan: ShotPlan): Help[];
  /** Plans of all focus methods, not simulated yet */
  methods(plan: ShotPlan): MethodOffer[];
}

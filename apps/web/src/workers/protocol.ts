import type { Mend, PullVerdict, SentencePart, ShotPlan, UnitSystem } from '@still-heron/core';

/** What a shot's row in a list needs of its verdict. */
export interface ShotSummary {
  readonly outcome: 'incomplete' | 'sharp' | 'barely' | 'beyond-the-hand' | 'soft' | 'unreadable';
  readonly parts: readonly SentencePart[];
  /** The focus line as turn of the ring, 0 (far end) to 1 (near end), at even times; empty without a line */
  readonly sketch: readonly number[];
  /** Shares of the shot in which someone is soft who must not be */
  readonly softSpans: readonly { readonly from: number; readonly to: number }[];
}

/** What the evaluating worker does. Nothing else knows how messages are posted: comlink carries them. */
export interface EvaluatorWorker {
  evaluate(plan: ShotPlan): PullVerdict;
  summarise(plan: ShotPlan, units: UnitSystem): ShotSummary;
  /** What would mend the plan, best first */
  mends(plan: ShotPlan): Mend[];
}

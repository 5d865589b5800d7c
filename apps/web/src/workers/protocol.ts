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

/** What a shot's row in a list needs of its verdict. */
export interface ShotSummary {
  readonly outcome: 'incomplete' | 'sharp' | 'barely' | 'beyond-the-hand' | 'soft' | 'unreadable';
  readonly parts: readonly SentencePart[];
  /** The focus line as turn of the ring, 0 (far end) to 1 (near end), at even times; empty without a line */
  readonly sketch: readonly number[];
  /** Shares of the shot in which someone is soft who must not be */
  readonly softSpans: readonly { readonly from: number; readonly to: number }[];
}

/** A line that can be laid, with what would come of it. */
export interface LayOffer {
  readonly laid: LaidLine;
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Everything that is asked is kept */
  readonly isWhole: boolean;
  /** Of what the hand holds */
  readonly fastestDegPerS: number;
}

/** What a worker of the page does; there are several of it, so that none of this waits for the rest. Nothing else knows how messages are posted: comlink carries them. */
export interface EvaluatorWorker extends TakeRunner {
  evaluate(plan: ShotPlan): PullVerdict;
  summarise(plan: ShotPlan, units: UnitSystem): ShotSummary;
  /** What would mend the plan, best first */
  mends(plan: ShotPlan): Mend[];
  /** A line laid one way; null where there is nothing to lay it for */
  layOffer(plan: ShotPlan, way: LineWay): LayOffer | null;
  /** What would make an impossible plan possible */
  leastChanges(plan: ShotPlan): LeastChange[];
  /** Everything that may have more takes kept, untried */
  helps(plan: ShotPlan): Help[];
  /** Every method's plan, untried */
  methods(plan: ShotPlan): MethodOffer[];
}

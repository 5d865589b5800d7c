import type { AskedPlace, ShotPlan, Take, UnitSystem } from '@still-heron/core';
import type { Draft } from './draft';

export interface TakeFormProps {
  readonly draft: Draft;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly number: number;
  /** Pulls that can be graded */
  readonly pullIds: readonly string[];
  /** The take as it is, or as it would be logged with nothing said; what its track shows stands beside what is said */
  readonly take: Omit<Take, 'track'>;
  readonly isLogging: boolean;
  /** Asked before it is logged; null for nothing */
  readonly question?: string | null;
  readonly onChange: (draft: Draft) => void;
  readonly onLog: () => void;
  /** Given for a take that is logged already: leaves it as it was */
  readonly onCancel?: () => void;
}

/** A place that is asked about at once: a pull, or somewhere else. */
export type Place = { readonly kind: 'pull'; readonly pullId: string } | { readonly kind: 'other'; readonly at: AskedAt };
export type AskedAt = AskedPlace['at'];

import { practiceSpan, type PracticeSpan, type ShotPlan } from '@still-heron/core';

/** A roll that is no take. */
export interface Practice {
  /** 1 at full speed, less for slower */
  readonly rate: number;
  /** The pull that is run again and again; null for the whole shot */
  readonly loop: (PracticeSpan & { readonly pullId: string }) | null;
}

/** Speeds of practice. */
export const PRACTICE_RATES = [
  { rate: 1, word: 'full speed' },
  { rate: 0.75, word: '75 %' },
  { rate: 0.5, word: '50 %' },
  { rate: 0.25, word: '25 %' },
] as const;

/** What is chosen of practice on this page; null for takes. */
export interface PracticeChoice {
  readonly rate: number;
  /** Pull that is run again and again; null for the whole shot */
  readonly pullId: string | null;
}

/** The practice of a plan. A pull that is gone is practised with the whole shot. */
export function practiceOf(plan: ShotPlan, choice: PracticeChoice | null): Practice | null {
  if (!choice) return null;
  const { rate, pullId } = choice;
  const span = pullId === null ? null : practiceSpan(plan, pullId);
  return { rate, loop: span && pullId !== null ? { ...span, pullId } : null };
}

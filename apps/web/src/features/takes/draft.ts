import type { FocusGrade, MarkHit, PerformanceGrade, Take } from '@still-heron/core';

/** What is said of the take that was just shot: a good one until something is said against it. */
export interface Draft {
  /** By pull; what is not named was hit */
  readonly hits: Readonly<Record<string, MarkHit>>;
  readonly focus: FocusGrade;
  readonly performance: PerformanceGrade;
  readonly isCircled: boolean;
  readonly note: string;
}

export function freshDraft(): Draft {
  return { hits: {}, focus: 'sharp', performance: 'good', isCircled: false, note: '' };
}

/** A mark that was not hit leaves the take no better than usable, until it is said otherwise. */
export function withHit(draft: Draft, moveId: string, hit: MarkHit): Draft {
  const hits = { ...draft.hits, [moveId]: hit };
  const isFaulty = Object.values(hits).some((one) => one !== 'hit');
  return { ...draft, hits, focus: isFaulty && draft.focus === 'sharp' ? 'usable' : draft.focus };
}

/** @param moveIds - of every pull of the shot: what nothing was said of was hit */
export function takeOfDraft({ hits, focus, performance, isCircled, note }: Draft, empty: Take, moveIds: readonly string[]): Take {
  return {
    ...empty,
    hits: moveIds.map((moveId) => ({ moveId, hit: hits[moveId] ?? 'hit', lateS: null })),
    focus,
    performance,
    isCircled,
    note,
    whyKept: isCircled && focus !== 'sharp' ? note : '',
  };
}

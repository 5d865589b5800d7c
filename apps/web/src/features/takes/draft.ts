import type { FocusGrade, MarkHit, PerformanceGrade, Repair, Take } from '@still-heron/core';

/** Entries about the latest take: a good take until a fault is entered. */
export interface Draft {
  /** By pull; missing ones were hit */
  readonly hits: Readonly<Record<string, MarkHit>>;
  readonly focus: FocusGrade;
  readonly performance: PerformanceGrade;
  readonly isCircled: boolean;
  readonly note: string;
  /** By mark: distance beyond it; missing ones were on the mark */
  readonly missedMm: Readonly<Record<string, number>>;
  /** Display and magnification of the check */
  readonly checkedOn: string;
  readonly checkMagnification: number | null;
  readonly repairs: readonly Repair[];
}

export function freshDraft(): Draft {
  return {
    hits: {},
    focus: 'sharp',
    performance: 'good',
    isCircled: false,
    note: '',
    missedMm: {},
    checkedOn: '',
    checkMagnification: null,
    repairs: [],
  };
}

/** A fault limits the focus grade to "usable" unless it was set by hand. */
export function withHit(draft: Draft, pullId: string, hit: MarkHit): Draft {
  const hits = { ...draft.hits, [pullId]: hit };
  const isFaulty = Object.values(hits).some((one) => one !== 'hit');
  return { ...draft, hits, focus: isFaulty && draft.focus === 'sharp' ? 'usable' : draft.focus };
}

/** Entries of an existing take, from its track or its log. */
export function draftOf(take: Take): Draft {
  const { focus, performance, isCircled, note, whyKept, checkedOn, checkMagnification, repairs } = take;
  return {
    hits: Object.fromEntries(take.hits.map(({ pullId, hit }) => [pullId, hit])),
    focus: focus ?? 'sharp',
    performance: performance ?? 'good',
    isCircled,
    note: note || whyKept,
    missedMm: Object.fromEntries(take.markMisses.map(({ markId, byMm }) => [markId, byMm])),
    checkedOn,
    checkMagnification,
    repairs,
  };
}

/**
 * @param take - the take they belong to; values without an entry stay
 * @param pullIds - all pulls of the shot; those without an entry were hit
 */
export function takeOfDraft(draft: Draft, take: Take, pullIds: readonly string[]): Take {
  const { hits, missedMm, focus, note, isCircled, ...said } = draft;
  const measured = (pullId: string, hit: MarkHit) => {
    const known = take.hits.find((one) => one.pullId === pullId && one.hit === hit);
    return { lateS: known?.lateS ?? null, landsLateS: known?.landsLateS ?? null, offDeg: known?.offDeg ?? null };
  };
  return {
    ...take,
    ...said,
    focus,
    note,
    isCircled,
    hits: pullIds.map((pullId) => {
      const hit = hits[pullId] ?? 'hit';
      return { pullId, hit, ...measured(pullId, hit) };
    }),
    markMisses: Object.entries(missedMm).flatMap(([markId, byMm]) => (byMm === 0 ? [] : [{ markId, byMm }])),
    whyKept: isCircled && focus !== 'sharp' ? note : '',
  };
}

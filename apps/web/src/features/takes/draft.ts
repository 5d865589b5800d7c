import type { FocusGrade, MarkHit, PerformanceGrade, Repair, Take } from '@still-heron/core';

/** What is said of the take that was just shot: a good one until something is said against it. */
export interface Draft {
  /** By pull; what is not named was hit */
  readonly hits: Readonly<Record<string, MarkHit>>;
  readonly focus: FocusGrade;
  readonly performance: PerformanceGrade;
  readonly isCircled: boolean;
  readonly note: string;
  /** By mark, so much farther than it; what is not named was where it should be */
  readonly missedMm: Readonly<Record<string, number>>;
  /** What it was checked on, and how many times magnified */
  readonly checkedOn: string;
  readonly checkedTimes: number | null;
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
    checkedTimes: null,
    repairs: [],
  };
}

/** A mark that was not hit leaves the take no better than usable, until it is said otherwise. */
export function withHit(draft: Draft, moveId: string, hit: MarkHit): Draft {
  const hits = { ...draft.hits, [moveId]: hit };
  const isFaulty = Object.values(hits).some((one) => one !== 'hit');
  return { ...draft, hits, focus: isFaulty && draft.focus === 'sharp' ? 'usable' : draft.focus };
}

/** Of a take that is there already: what its track, or somebody, said of it. */
export function draftOf(take: Take): Draft {
  const { focus, performance, isCircled, note, whyKept, checkedOn, checkedTimes, repairs } = take;
  return {
    hits: Object.fromEntries(take.hits.map(({ moveId, hit }) => [moveId, hit])),
    focus: focus ?? 'sharp',
    performance: performance ?? 'good',
    isCircled,
    note: note || whyKept,
    missedMm: Object.fromEntries(take.missed.map(({ markId, byMm }) => [markId, byMm])),
    checkedOn,
    checkedTimes,
    repairs,
  };
}

/**
 * @param take - what it is said of: what nothing is said against stays as it is
 * @param moveIds - of every pull of the shot: what nothing was said of was hit
 */
export function takeOfDraft(draft: Draft, take: Take, moveIds: readonly string[]): Take {
  const { hits, missedMm, focus, note, isCircled, ...said } = draft;
  const measured = (moveId: string, hit: MarkHit) => {
    const known = take.hits.find((one) => one.moveId === moveId && one.hit === hit);
    return { lateS: known?.lateS ?? null, offDeg: known?.offDeg ?? null };
  };
  return {
    ...take,
    ...said,
    focus,
    note,
    isCircled,
    hits: moveIds.map((moveId) => {
      const hit = hits[moveId] ?? 'hit';
      return { moveId, hit, ...measured(moveId, hit) };
    }),
    missed: Object.entries(missedMm).flatMap(([markId, byMm]) => (byMm === 0 ? [] : [{ markId, byMm }])),
    whyKept: isCircled && focus !== 'sharp' ? note : '',
  };
}

import { type CompleteVerdict, sharpSpans, type ShotPlan, type TimeSpan } from '@still-heron/core';
import type { Framings } from '../../shared/workers/protocol';
/** Lane of a subject along the time bar. */
export interface Lane {
  readonly subjectId: string;
  readonly name: string;
  readonly subjectIndex: number;
  /** In the picture; null if the subject is not on the floor, undefined if not known yet */
  readonly framed: readonly TimeSpan[] | null | undefined;
  readonly sharp: readonly TimeSpan[];
  /** Must be sharp and is soft */
  readonly soft: readonly TimeSpan[];
}

/**
 * Lanes of all subjects: in the picture, sharp, and soft where that is not allowed.
 *
 * @param framings - null if not known yet
 */
export function lanesOf(plan: ShotPlan, verdict: CompleteVerdict | null, framings: Framings | null): Lane[] {
  return plan.subjects.map((subject, subjectIndex) => {
    const frames = verdict?.subjects.find(({ subjectId }) => subjectId === subject.id);
    const soft = verdict?.softSpans.filter(({ subjectId }) => subjectId === subject.id) ?? [];
    return {
      subjectId: subject.id,
      name: subject.name,
      subjectIndex,
      framed: framings?.get(subject.id),
      sharp: frames && verdict ? sharpSpans(frames, verdict) : [],
      soft: soft.map(({ fromS, toS }) => ({ fromS, untilS: toS })),
    };
  });
}

import { minimumJerk } from './minimumJerk.js';
import type { Place } from './place.js';

/** How a distance came to be known. */
export const MEASURE_METHODS = ['tape', 'laser', 'picture', 'eye', 'stand-in', 'drawn'] as const;
export type MeasureMethod = (typeof MEASURE_METHODS)[number];

/** What makes a measured distance doubtful until it is measured again. */
export const STALE_REASONS = ['lens', 'camera'] as const;
export type StaleReason = (typeof STALE_REASONS)[number];

/** A measured place: a letter, whose it is, and how far. */
export interface Mark {
  readonly id: string;
  /** A, B, C … as written on the ring */
  readonly letter: string;
  /** Whose place it is; null for a thing or a bare place */
  readonly subjectId: string | null;
  /** Tape distance; null stands for infinity */
  readonly distanceMm: number | null;
  /** Where it lies on the floor; null while it is not drawn */
  readonly place: Place | null;
  readonly method: MeasureMethod;
  /** One standard deviation of the measuring */
  readonly uncertaintyMm: number;
  /** Measured before another lens was put on, or the camera was moved; null while it holds */
  readonly stale: StaleReason | null;
  readonly note: string;
}

/** Tape distances by mark id, with Infinity in place of null. */
export function markDistances(marks: readonly Mark[]): Map<string, number> {
  return new Map(marks.map((mark) => [mark.id, mark.distanceMm ?? Infinity]));
}

/** A subject standing at a mark for a while. */
export interface Stay {
  readonly id: string;
  readonly markId: string;
  /** Arrives at this time; the first stay also covers what is before it */
  readonly fromS: number;
  /** Leaves at this time; the last stay also covers what is after it */
  readonly untilS: number;
}

/** Someone or something that must be sharp at some time. */
export interface Subject {
  readonly id: string;
  readonly name: string;
  /** What exactly is focused on, such as "near eye" */
  readonly detail: string;
  /** Of what is focused on, above the floor */
  readonly heightMm: number;
  /** In order of time, not overlapping. Between two stays the subject walks, smooth at both ends. */
  readonly stays: readonly Stay[];
}

/**
 * The subject's tape distance at a time, from the marks it stands at and the walks between them.
 *
 * @param subject - with at least one stay
 * @param distanceOfMark - tape distance by mark id
 * @returns millimetres; NaN when the subject has no stay (a missing sample)
 */
export function distanceAtTime(subject: Subject, distanceOfMark: ReadonlyMap<string, number>, timeS: number): number {
  const { stays } = subject;
  let from = stays[0];
  if (!from) return NaN;
  for (const stay of stays) {
    if (stay.fromS > timeS) {
      const fromMm = distanceOfMark.get(from.markId)!;
      if (stay === from || timeS <= from.untilS) return fromMm;
      const progress = (timeS - from.untilS) / (stay.fromS - from.untilS);
      return fromMm + (distanceOfMark.get(stay.markId)! - fromMm) * minimumJerk(progress);
    }
    from = stay;
  }
  return distanceOfMark.get(from.markId)!;
}

/** Whether the subject walks at a time: between two stays at marks of different distance. */
export function isWalking(subject: Subject, distanceOfMark: ReadonlyMap<string, number>, timeS: number): boolean {
  return subject.stays.some((stay, index) => {
    const next = subject.stays[index + 1];
    if (!next || timeS < stay.untilS || timeS >= next.fromS) return false;
    return distanceOfMark.get(stay.markId) !== distanceOfMark.get(next.markId);
  });
}

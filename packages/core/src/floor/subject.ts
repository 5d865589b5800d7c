import { minimumJerk } from './minimumJerk.js';
import type { Pace } from './place.js';

/** How well people hit a mark, and their time, until it is known better: assumptions, shown as such. */
export const ASSUMED_MARK_SIGMA_MM = 50;
export const ASSUMED_TIMING_SIGMA_S = 0.2;

/** A subject standing at a mark for a while. */
export interface Stay {
  readonly id: string;
  readonly markId: string;
  /** Arrives at this time; the first stay also covers what is before it */
  readonly fromS: number;
  /** Leaves at this time; the last stay also covers what is after it */
  readonly untilS: number;
  /** How they walk here from the stay before */
  readonly pace: Pace;
}

/** Someone or something that must be sharp at some time. */
export interface Subject {
  readonly id: string;
  readonly name: string;
  /** What exactly is focused on, such as "near eye" */
  readonly detail: string;
  /** Of what is focused on, above the floor */
  readonly heightMm: number;
  /** How far they miss their marks along the axis: one standard deviation */
  readonly markSigmaMm: number;
  /** How early or late they are: one standard deviation, assumed until it is rehearsed */
  readonly timingSigmaS: number;
  /** In order of time, not overlapping. Between two stays the subject walks. */
  readonly stays: readonly Stay[];
}

/** Between which two stays someone is, and how far on the way: both the same, and 0, while they stand. */
export interface OnTheWay {
  readonly from: Stay;
  readonly to: Stay;
  readonly progress: number;
}

/** Where on their way someone is: before the first stay they stand there already, after the last they still do. Null without a stay. */
export function whereAt({ stays }: Subject, timeS: number): OnTheWay | null {
  let from = stays[0];
  if (!from) return null;
  for (const to of stays) {
    if (timeS < to.fromS) {
      if (to === from || timeS <= from.untilS) break;
      const progress = (timeS - from.untilS) / (to.fromS - from.untilS);
      return { from, to, progress: to.pace === 'steady' ? progress : minimumJerk(progress) };
    }
    from = to;
  }
  return { from, to: from, progress: 0 };
}

/**
 * The subject's distance at a time, from the marks it stands at and the walks between them.
 *
 * @param subject - with at least one stay
 * @param distanceOfMark - by mark id; Infinity for infinity, which one is at until the other end of a walk is reached
 * @returns millimetres; NaN when the subject has no stay (a missing sample)
 */
export function distanceAtTime(subject: Subject, distanceOfMark: ReadonlyMap<string, number>, timeS: number): number {
  const where = whereAt(subject, timeS);
  if (where === null) return NaN;
  const fromMm = distanceOfMark.get(where.from.markId)!;
  if (where.progress === 0) return fromMm;
  const toMm = distanceOfMark.get(where.to.markId)!;
  return fromMm === Infinity ? Infinity : fromMm + (toMm - fromMm) * where.progress;
}

/** Whether the subject walks at a time: between two stays at marks of different distance. */
export function isWalking(subject: Subject, distanceOfMark: ReadonlyMap<string, number>, timeS: number): boolean {
  const where = whereAt(subject, timeS);
  return (
    where !== null && where.from !== where.to && distanceOfMark.get(where.from.markId) !== distanceOfMark.get(where.to.markId)
  );
}

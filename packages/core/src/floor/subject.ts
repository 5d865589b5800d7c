import { easedWay } from './easedWay.js';
import type { Pace } from './place.js';

/** Assumed spread with which people hit marks and times, until measured. Shown as an assumption. */
export const ASSUMED_MARK_SIGMA_MM = 50;
export const ASSUMED_TIMING_SIGMA_S = 0.2;

/** A span in which a subject stands at a mark. */
export interface Stay {
  readonly id: string;
  readonly markId: string;
  /** Arrival. The first stay also covers the time before it */
  readonly fromS: number;
  /** Departure. The last stay also covers the time after it */
  readonly untilS: number;
  /** How the subject walks here from the previous stay */
  readonly pace: Pace;
}

/** What a subject is. A person sways, walks, and misses marks and times. An object is where it was measured. */
export const SUBJECT_KINDS = ['person', 'object'] as const;
export type SubjectKind = (typeof SUBJECT_KINDS)[number];

/** A person or object that is focused on. */
export interface Subject {
  readonly id: string;
  readonly kind: SubjectKind;
  readonly name: string;
  /** What exactly to focus on, such as "near eye" */
  readonly detail: string;
  /** Height of the point of focus above the floor */
  readonly heightMm: number;
  /** How wide and how tall the subject is as something that hides others: from shoulder to shoulder, from the floor to the crown. 0 tall hides nobody */
  readonly widthMm: number;
  readonly tallMm: number;
  /** How far the subject misses its marks along the axis: one standard deviation */
  readonly markSigmaMm: number;
  /** How early or late the subject is: one standard deviation, assumed until rehearsed */
  readonly timingSigmaS: number;
  /** In order of time, without overlap. Between two stays the subject walks */
  readonly stays: readonly Stay[];
}

/** Width of a person from shoulder to shoulder, and of an object that nobody has measured. Assumed. */
export const ASSUMED_WIDTH_MM: Readonly<Record<SubjectKind, number>> = { person: 450, object: 300 };
/** From the eyes to the crown. Assumed. */
export const EYES_TO_CROWN_MM = 110;

/** Errors of a subject in a take. An object has none: its only error is that of its measurement. */
export function subjectErrors(subject: Subject): Pick<Subject, 'markSigmaMm' | 'timingSigmaS'> {
  return subject.kind === 'object' ? { markSigmaMm: 0, timingSigmaS: 0 } : subject;
}

/** Position on the path: the two stays and the progress between them. Standing: both the same, progress 0. */
export interface PathPosition {
  readonly from: Stay;
  readonly to: Stay;
  readonly progress: number;
}

/** Position of a subject on its path. Before the first stay and after the last it stands. Null without a stay. */
export function pathPositionAt({ stays }: Subject, timeS: number): PathPosition | null {
  let from = stays[0];
  if (!from) return null;
  for (let index = 0; index < stays.length; index++) {
    const to = stays[index]!;
    if (timeS < to.fromS) {
      if (to === from || timeS <= from.untilS) break;
      return { from, to, progress: shareOfWalk(from, to, timeS) };
    }
    from = to;
  }
  return { from, to: from, progress: 0 };
}

/**
 * Distance of a subject at a time, from its marks and the walks between them.
 *
 * @param subject - with at least one stay
 * @param distanceOfMark - by mark id; Infinity for infinity. On a walk to or from infinity the distance is Infinity until the
 * walk ends.
 * @returns mm; NaN for a subject without a stay
 */
export function distanceAtTime(subject: Subject, distanceOfMark: ReadonlyMap<string, number>, timeS: number): number {
  const where = pathPositionAt(subject, timeS);
  if (where === null) return NaN;
  const fromMm = distanceOfMark.get(where.from.markId)!;
  if (where.progress === 0) return fromMm;
  const toMm = distanceOfMark.get(where.to.markId)!;
  return fromMm === Infinity ? Infinity : fromMm + (toMm - fromMm) * where.progress;
}

/** Frames in which a subject stands at a mark, or walks from one to the next. Standing: both stays the same. */
export interface PathSpan {
  readonly from: Stay;
  readonly to: Stay;
  readonly fromFrame: number;
  readonly toFrame: number;
}

/**
 * A subject's path as spans of frames, in order: what `pathPositionAt` tells frame by frame.
 *
 * @param timesS - time of each frame, rising
 * @returns together all frames; empty for a subject without a stay
 */
export function pathSpans({ stays }: Subject, timesS: Float64Array): PathSpan[] {
  const spans: PathSpan[] = [];
  const add = (from: Stay, to: Stay, fromFrame: number, toFrame: number) => {
    if (toFrame > fromFrame) spans.push({ from, to, fromFrame, toFrame });
  };
  let frame = 0;
  for (const [index, stay] of stays.entries()) {
    const next = stays[index + 1];
    const arrives = next ? firstFrame(timesS, frame, (timeS) => timeS >= next.fromS) : timesS.length;
    const leaves = firstFrame(timesS, frame, (timeS) => timeS > stay.untilS, arrives);
    add(stay, stay, frame, next ? leaves : arrives);
    if (next) add(stay, next, leaves, arrives);
    frame = arrives;
  }
  return spans;
}

/** First frame from `from` on whose time satisfies a condition that all later times satisfy as well; `before` if none before it does. */
function firstFrame(timesS: Float64Array, from: number, isPast: (timeS: number) => boolean, before = timesS.length): number {
  let [low, high] = [from, before];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isPast(timesS[middle]!)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Share of the way from one stay to the next at a time between them. */
export function shareOfWalk(from: Stay, to: Stay, timeS: number): number {
  const durationS = to.fromS - from.untilS;
  const progress = (timeS - from.untilS) / durationS;
  return to.pace === 'steady' ? progress : easedWay(progress, durationS);
}

/** Writes `distanceAtTime` of each frame. @param timesS - rising; as long as `distanceMm` */
export function fillDistances(
  subject: Subject,
  distanceOfMark: ReadonlyMap<string, number>,
  timesS: Float64Array,
  distanceMm: Float64Array,
): void {
  const spans = pathSpans(subject, timesS);
  if (spans.length === 0) distanceMm.fill(NaN);
  for (const { from, to, fromFrame, toFrame } of spans) {
    const fromMm = distanceOfMark.get(from.markId)!;
    const wayMm = distanceOfMark.get(to.markId)! - fromMm;
    if (from === to || fromMm === Infinity) distanceMm.fill(fromMm, fromFrame, toFrame);
    else for (let i = fromFrame; i < toFrame; i++) distanceMm[i] = fromMm + partOf(wayMm, shareOfWalk(from, to, timesS[i]!));
  }
}

/** Part of a way, which may be infinite; none of it at the start. */
function partOf(wayMm: number, share: number): number {
  return share === 0 ? 0 : wayMm * share;
}

/** Whether the subject is walking between two marks of different distance. */
export function isWalking(subject: Subject, distanceOfMark: ReadonlyMap<string, number>, timeS: number): boolean {
  const where = pathPositionAt(subject, timeS);
  return (
    where !== null && where.from !== where.to && distanceOfMark.get(where.from.markId) !== distanceOfMark.get(where.to.markId)
  );
}

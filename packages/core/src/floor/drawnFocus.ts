import type { Mark } from './mark.js';
import { placeOfMark } from './markPlace.js';
import { between } from './place.js';
import { type CameraPose, focusTo } from './sighting.js';
import { pathSpans, shareOfWalk, type Subject } from './subject.js';

/** Keeps what was computed last for rising times: all subjects ask for the same frames. */
function lastKept<T>(compute: (timesS: Float64Array) => T): (timesS: Float64Array) => T {
  let last: { readonly stepS: number | undefined; readonly count: number; readonly result: T } | null = null;
  return (timesS) => {
    const [stepS, count] = [timesS[1], timesS.length];
    if (last?.stepS !== stepS || last?.count !== count) last = { stepS, count, result: compute(timesS) };
    return last!.result;
  };
}

/** What the frames of a subject on the floor are worked out from. */
interface DrawnFloor {
  /** As in `posesOf` */
  readonly posesOver: (timesS: Float64Array) => readonly CameraPose[];
  readonly markOf: ReadonlyMap<string, Mark>;
  /** By mark id: tape distance minus drawn distance */
  readonly corrections: ReadonlyMap<string, number>;
  /** For a walk to or from a mark that is not drawn */
  readonly focusMmAt: (subject: Subject, timeS: number) => number;
}

/** Poses of the camera by frame, kept for the frames asked for last. */
export function posesOf(newPoseAt: (timeS: number) => CameraPose): (timesS: Float64Array) => readonly CameraPose[] {
  return lastKept((timesS) => Array.from(timesS, newPoseAt));
}

/** Plans that differ only in their pulls ask for the same frames. */
export function drawnFiller(drawn: DrawnFloor): (subject: Subject, timesS: Float64Array, focusMm: Float64Array) => void {
  const { posesOver } = drawn;
  const focusOver = keptBySubject((subject) => lastKept((timesS) => drawnFocus(subject, timesS, posesOver(timesS), drawn)));
  return (subject, timesS, focusMm) => focusMm.set(focusOver(subject)(timesS));
}

/** Focus distance of a subject in each frame, as `focusMmAt` has it, without an object for each. */
function drawnFocus(
  subject: Subject,
  timesS: Float64Array,
  poses: readonly CameraPose[],
  { markOf, corrections, focusMmAt }: DrawnFloor,
): Float64Array {
  const focusMm = new Float64Array(timesS.length).fill(NaN);
  for (const { from, to, fromFrame, toFrame } of pathSpans(subject, timesS)) {
    const [start, end] = [from, to].map(({ markId }) => placeOfMark(markOf.get(markId)!));
    const [startShift, endShift] = [corrections.get(from.markId)!, corrections.get(to.markId)!];
    for (let i = fromFrame; i < toFrame; i++) {
      if (!start || !end) {
        focusMm[i] = focusMmAt(subject, timesS[i]!);
        continue;
      }
      const share = from === to ? 0 : shareOfWalk(from, to, timesS[i]!);
      const shift = share === 0 ? startShift : startShift + (endShift - startShift) * share;
      focusMm[i] = focusTo(poses[i]!, share === 0 ? start : between(start, end, share), subject.heightMm, shift);
    }
  }
  return focusMm;
}

/** Makes one for each subject, and keeps it. */
function keptBySubject<T>(make: (subject: Subject) => T): (subject: Subject) => T {
  const made = new Map<Subject, T>();
  return (subject) => {
    const known = made.get(subject) ?? make(subject);
    made.set(subject, known);
    return known;
  };
}

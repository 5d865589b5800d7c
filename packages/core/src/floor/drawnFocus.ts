import { keptBySubject, lastKept } from './lastKept.js';
import { type FramePose, focusTo } from './sighting.js';
import { pathSpans, type Subject } from './subject.js';
import type { SubjectTrack } from './subjectTrack.js';

/** What the frames of a subject on the floor are worked out from. */
interface DrawnFloor {
  readonly posesOver: (timesS: Float64Array) => readonly FramePose[];
  readonly placesOver: (subject: Subject, timesS: Float64Array) => SubjectTrack;
  /** By mark id: tape distance minus drawn distance */
  readonly corrections: ReadonlyMap<string, number>;
  /** For a walk to or from a mark that is not drawn */
  readonly focusMmAt: (subject: Subject, timeS: number) => number;
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
  poses: readonly FramePose[],
  { placesOver, corrections, focusMmAt }: DrawnFloor,
): Float64Array {
  const { xMm, yMm, share } = placesOver(subject, timesS);
  const focusMm = new Float64Array(timesS.length).fill(NaN);
  // written again for each frame
  const place = { xMm: 0, yMm: 0 };
  for (const { from, to, fromFrame, toFrame } of pathSpans(subject, timesS)) {
    const startShift = corrections.get(from.markId)!;
    const changeMm = corrections.get(to.markId)! - startShift;
    for (let i = fromFrame; i < toFrame; i++) {
      const shift = share[i] === 0 ? startShift : startShift + changeMm * share[i]!;
      place.xMm = xMm[i]!;
      place.yMm = yMm[i]!;
      focusMm[i] = Number.isNaN(place.xMm) ? focusMmAt(subject, timesS[i]!) : focusTo(poses[i]!, place, subject.heightMm, shift);
    }
  }
  return focusMm;
}

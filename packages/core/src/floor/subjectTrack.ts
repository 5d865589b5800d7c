import type { Mark } from './mark.js';
import { placeOfMark } from './markPlace.js';
import { pathSpans, shareOfWalk, type Subject } from './subject.js';

/** Where a subject is by frame. */
export interface SubjectTrack {
  /** NaN where it is not on the floor */
  readonly xMm: Float64Array;
  readonly yMm: Float64Array;
  /** Share of the way from the mark that it leaves to the one that it walks to; 0 while it stands */
  readonly share: Float64Array;
}

/** @param timesS - time of each frame, rising */
export function subjectTrack(subject: Subject, markOf: ReadonlyMap<string, Mark>, timesS: Float64Array): SubjectTrack {
  const xMm = new Float64Array(timesS.length).fill(NaN);
  const yMm = new Float64Array(timesS.length).fill(NaN);
  const share = new Float64Array(timesS.length);
  for (const { from, to, fromFrame, toFrame } of pathSpans(subject, timesS)) {
    const start = placeOfMark(markOf.get(from.markId)!);
    const end = placeOfMark(markOf.get(to.markId)!);
    if (from !== to) for (let frame = fromFrame; frame < toFrame; frame++) share[frame] = shareOfWalk(from, to, timesS[frame]!);
    if (!start || !end) continue;
    if (from === to) {
      xMm.fill(start.xMm, fromFrame, toFrame);
      yMm.fill(start.yMm, fromFrame, toFrame);
      continue;
    }
    const [wayX, wayY] = [end.xMm - start.xMm, end.yMm - start.yMm];
    for (let frame = fromFrame; frame < toFrame; frame++) {
      xMm[frame] = start.xMm + wayX * share[frame]!;
      yMm[frame] = start.yMm + wayY * share[frame]!;
    }
  }
  return { xMm, yMm, share };
}

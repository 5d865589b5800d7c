import type { Beat } from '../pull/index.js';
import { frameAtOrAfter } from '../units/index.js';
import type { Cause, LineFrames, SoftSpan, SubjectFrames } from './pullVerdict.js';

/** The frames of a beat: from, and the first one after. */
export function beatFrames(beat: Beat, captureFps: number, frameCount: number): { fromFrame: number; toFrame: number } {
  return {
    fromFrame: Math.min(frameAtOrAfter(beat.fromS, captureFps), frameCount),
    toFrame: Math.min(frameAtOrAfter(beat.toS, captureFps), frameCount),
  };
}

/**
 * The soft spans of one beat, in order of time.
 *
 * @param causeAt - says why the subject is soft at a frame
 */
export function softSpansOf(
  beat: Beat,
  subject: SubjectFrames,
  line: LineFrames,
  captureFps: number,
  causeAt: (frame: number) => Cause,
): SoftSpan[] {
  const spans: SoftSpan[] = [];
  const { fromFrame, toFrame } = beatFrames(beat, captureFps, line.timesS.length);
  for (let start = fromFrame; start < toFrame; start++) {
    if (subject.sharp[start]) continue;
    let end = start;
    let worstFrame = start;
    while (end < toFrame && !subject.sharp[end]) {
      if (subject.marginMm[end]! < subject.marginMm[worstFrame]!) worstFrame = end;
      end++;
    }
    spans.push({
      beatId: beat.id,
      subjectId: subject.subjectId,
      fromFrame: start,
      toFrame: end,
      fromS: start / captureFps,
      toS: end / captureFps,
      worstFrame,
      worstGapMm: -subject.marginMm[worstFrame]!,
      worstBlurCircles: subject.blurCircles[worstFrame]!,
      side: subject.distanceMm[worstFrame]! < line.focusMm[worstFrame]! ? 'in front' : 'behind',
      cause: causeAt(start),
    });
    start = end;
  }
  return spans;
}

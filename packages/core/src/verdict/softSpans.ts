import { type Beat, beatFrames } from '../plan/index.js';
import type { Cause, TrackSamples, SoftSpan, SubjectFrames } from './pullVerdict.js';

/**
 * Soft spans of one beat in order of time.
 *
 * @param causeAt - cause of the softness at a frame
 */
export function softSpansOf(
  beat: Beat,
  subject: SubjectFrames,
  track: TrackSamples,
  { captureFps, causeAt }: { readonly captureFps: number; readonly causeAt: (frame: number) => Cause },
): SoftSpan[] {
  const spans: SoftSpan[] = [];
  const { fromFrame, toFrame } = beatFrames(beat, captureFps, track.timesS.length);
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
      side: subject.distanceMm[worstFrame]! < track.focusMm[worstFrame]! ? 'in front' : 'behind',
      cause: causeAt(start),
    });
    start = end;
  }
  return spans;
}

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
  const isSoft = (frame: number) => !subject.sharp[frame] && !subject.unjudged?.[frame];
  const { fromFrame, toFrame } = beatFrames(beat, captureFps, track.timesS.length);
  for (let start = fromFrame; start < toFrame; start++) {
    if (!isSoft(start)) continue;
    let end = start;
    let worstFrame = start;
    while (end < toFrame && isSoft(end)) {
      if (subject.blurCircles[end]! > subject.blurCircles[worstFrame]!) worstFrame = end;
      end++;
    }
    const sideAt = (frame: number) => (subject.distanceMm[frame]! < track.focusMm[frame]! ? 'in front' : 'behind');
    const side = sideAt(worstFrame);
    let worstGapMm = -Infinity;
    for (let frame = start; frame < end; frame++)
      if (sideAt(frame) === side) worstGapMm = Math.max(worstGapMm, -subject.marginMm[frame]!);
    spans.push({
      beatId: beat.id,
      subjectId: subject.subjectId,
      fromFrame: start,
      toFrame: end,
      fromS: start / captureFps,
      toS: end / captureFps,
      worstFrame,
      worstGapMm,
      worstBlurCircles: subject.blurCircles[worstFrame]!,
      side,
      cause: causeAt(start),
    });
    start = end;
  }
  return spans;
}

import { type Beat, beatFrames, hiddenRunsOf, type ShotPlan } from '../plan/index.js';
import type { HiddenSpan } from './pullVerdict.js';

/** Where the subjects of beats that require something are hidden, in order of time. */
export function hiddenSpansOf(plan: ShotPlan, beats: readonly Beat[], frameCount: number): HiddenSpan[] {
  const { captureFps } = plan;
  const spans = beats.flatMap((beat) => {
    if (beat.requirement === 'none') return [];
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    return hiddenRunsOf(plan, beat.subjectId).flatMap((run): HiddenSpan[] => {
      const [from, to] = [Math.max(run.fromFrame, fromFrame), Math.min(run.toFrame, toFrame)];
      if (from >= to) return [];
      return [{ beatId: beat.id, subjectId: beat.subjectId, by: run.by, fromS: from / captureFps, toS: to / captureFps }];
    });
  });
  return spans.sort((a, b) => a.fromS - b.fromS);
}

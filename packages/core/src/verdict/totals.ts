import type { Beat } from '../pull/index.js';
import type { BeatVerdict, SubjectFrames } from './pullVerdict.js';
import { beatFrames } from './softSpans.js';

/** Each beat's share of sharp frames. A beat shorter than a frame has none to miss, and is kept. */
export function judgeBeats(
  beats: readonly Beat[],
  subjects: readonly SubjectFrames[],
  captureFps: number,
  frameCount: number,
): BeatVerdict[] {
  return beats.map((beat) => {
    const { sharp } = framesOf(beat, subjects);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    let sharpFrames = 0;
    for (let i = fromFrame; i < toFrame; i++) sharpFrames += sharp[i]!;
    const frames = Math.max(0, toFrame - fromFrame);
    const share = frames === 0 ? 1 : sharpFrames / frames;
    return { beatId: beat.id, subjectId: beat.subjectId, frames, sharpFrames, share, kept: share >= beat.requiredShare };
  });
}

/** Frames in which someone must be sharp, and those in which everyone who must be is. */
export function requiredFrames(
  beats: readonly Beat[],
  subjects: readonly SubjectFrames[],
  captureFps: number,
  frameCount: number,
): { requiredFrames: number; sharpFrames: number } {
  const state = new Uint8Array(frameCount); // 0 free, 1 required and sharp, 2 required and soft
  for (const beat of beats) {
    const { sharp } = framesOf(beat, subjects);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let i = fromFrame; i < toFrame; i++) if (state[i] !== 2) state[i] = sharp[i] ? 1 : 2;
  }
  return { requiredFrames: state.filter((value) => value > 0).length, sharpFrames: state.filter((value) => value === 1).length };
}

/** The required frame with the least room. */
export function tightestOf(beats: readonly Beat[], subjects: readonly SubjectFrames[], captureFps: number, frameCount: number) {
  let tightest: { frame: number; subjectId: string; marginMm: number } | null = null;
  for (const beat of beats) {
    const { marginMm, subjectId } = framesOf(beat, subjects);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let i = fromFrame; i < toFrame; i++) {
      if (tightest === null || marginMm[i]! < tightest.marginMm) tightest = { frame: i, subjectId, marginMm: marginMm[i]! };
    }
  }
  return tightest;
}

function framesOf(beat: Beat, subjects: readonly SubjectFrames[]): SubjectFrames {
  return subjects.find((subject) => subject.subjectId === beat.subjectId)!;
}

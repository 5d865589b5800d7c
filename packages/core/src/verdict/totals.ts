import { type Beat, beatFrames, keyFrameOf, pictureWidthMm, type ShotPlan } from '../plan/index.js';
import type { BeatVerdict, SubjectFrames, TooSharpSpan } from './pullVerdict.js';

/** Data that beats are judged by: frames of the subjects and the scale of their blur. */
export interface JudgedFrames {
  readonly subjects: readonly SubjectFrames[];
  readonly captureFps: number;
  readonly frameCount: number;
  /** One circle of confusion in percent of the picture's width */
  readonly circlePercent: number;
}

export function judgedFrames(
  { optics, captureFps }: ShotPlan,
  subjects: readonly SubjectFrames[],
  frameCount: number,
  circleMm: number,
): JudgedFrames {
  return { subjects, captureFps, frameCount, circlePercent: (100 * circleMm) / pictureWidthMm(optics) };
}

/** Tolerance for rounding at the exact limit. */
const TOLERANCE = 1 - 1e-6;

/** Share of frames that meet the requirement, by beat. A beat shorter than a frame is kept. */
export function judgeBeats(beats: readonly Beat[], judged: JudgedFrames): BeatVerdict[] {
  const { captureFps, frameCount, circlePercent } = judged;
  return beats.map((beat) => {
    const { subjectId, requirement: kind, requiredShare, blurPercent } = beat;
    const { sharp, blurCircles } = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    const isAsAsked = (frame: number) =>
      kind === 'soft' ? blurCircles[frame]! * circlePercent >= blurPercent * TOLERANCE : sharp[frame] === 1;
    // the most blur, or of what must be soft the least
    const isWorse = (frame: number, than: number) =>
      kind === 'soft' ? blurCircles[frame]! < blurCircles[than]! : blurCircles[frame]! > blurCircles[than]!;
    let keptFrames = 0;
    let worstFrame: number | null = null;
    for (let frame = fromFrame; frame < toFrame; frame++) {
      if (isAsAsked(frame)) keptFrames++;
      if (worstFrame === null || isWorse(frame, worstFrame)) worstFrame = frame;
    }
    const frames = Math.max(0, toFrame - fromFrame);
    const share = frames === 0 ? 1 : keptFrames / frames;
    const keyFrame = keyFrameOf(beat, captureFps, frameCount);
    const isKeyMomentKept = keyFrame === null ? null : isAsAsked(keyFrame);
    const kept = kind === 'none' || (share >= requiredShare && isKeyMomentKept !== false);
    return { beatId: beat.id, subjectId, kind, frames, keptFrames, share, isKeyMomentKept, kept, worstFrame };
  });
}

/** Number of frames in which something must be sharp, and of those in which all of it is. */
export function requiredFrames(beats: readonly Beat[], judged: JudgedFrames): { requiredFrames: number; sharpFrames: number } {
  const { captureFps, frameCount } = judged;
  const state = new Uint8Array(frameCount); // 0 nothing required, 1 required and sharp, 2 required and soft
  for (const beat of beats) {
    if (beat.requirement !== 'sharp') continue;
    const { sharp } = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let i = fromFrame; i < toFrame; i++) if (state[i] !== 2) state[i] = sharp[i] ? 1 : 2;
  }
  const counts = [0, 0, 0];
  for (let i = 0; i < frameCount; i++) counts[state[i]!]!++;
  return { requiredFrames: counts[1]! + counts[2]!, sharpFrames: counts[1]! };
}

/** Required frame with the least room. */
export function findTightest(beats: readonly Beat[], judged: JudgedFrames) {
  const { captureFps, frameCount } = judged;
  let tightest: { frame: number; subjectId: string; marginMm: number } | null = null;
  for (const beat of beats) {
    if (beat.requirement !== 'sharp') continue;
    const { marginMm, subjectId } = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let i = fromFrame; i < toFrame; i++) {
      if (tightest === null || marginMm[i]! < tightest.marginMm) tightest = { frame: i, subjectId, marginMm: marginMm[i]! };
    }
  }
  return tightest;
}

/** Spans in which a subject that must be soft is too sharp, in order of time. */
export function findTooSharpSpans(beats: readonly Beat[], judged: JudgedFrames): TooSharpSpan[] {
  const { captureFps, frameCount, circlePercent } = judged;
  const spans = beats.flatMap((beat) => {
    if (beat.requirement !== 'soft') return [];
    const { blurCircles } = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    const found: TooSharpSpan[] = [];
    const percentAt = (frame: number) => blurCircles[frame]! * circlePercent;
    const isTooSharp = (frame: number) => frame < toFrame && percentAt(frame) < beat.blurPercent * TOLERANCE;
    for (let start = fromFrame; start < toFrame; start++) {
      if (!isTooSharp(start)) continue;
      let [end, least] = [start, Infinity];
      for (; isTooSharp(end); end++) least = Math.min(least, percentAt(end));
      const times = { fromS: start / captureFps, toS: end / captureFps };
      found.push({ beatId: beat.id, subjectId: beat.subjectId, ...times, blurPercent: least, requiredPercent: beat.blurPercent });
      start = end;
    }
    return found;
  });
  return spans.sort((a, b) => a.fromS - b.fromS);
}

function framesOf(beat: Beat, { subjects }: JudgedFrames): SubjectFrames {
  return subjects.find((subject) => subject.subjectId === beat.subjectId)!;
}

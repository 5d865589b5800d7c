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
    const { subjectId, requirement: kind, requiredShare, toleratedFrames, blurPercent } = beat;
    const subject = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    const requiredBlur = kind === 'soft' ? { circlePercent, blurPercent } : null;
    const { keptFrames, worstFrame } =
      requiredBlur === null ? sharpIn(subject, fromFrame, toFrame) : softIn(subject, fromFrame, toFrame, requiredBlur);
    const unjudgedFrames = unjudgedIn(subject, fromFrame, toFrame);
    const frames = Math.max(0, toFrame - fromFrame) - unjudgedFrames;
    const keyFrame = keyFrameOf(beat, captureFps, frameCount);
    const isKeptAt = (frame: number) =>
      requiredBlur ? isSoftEnough(subject.blurCircles[frame]!, requiredBlur) : subject.sharp[frame] === 1;
    const isKeyMomentKept = keyFrame === null ? null : !subject.unjudged?.[keyFrame] && isKeptAt(keyFrame);
    const isLostAt = (frame: number) => !subject.unjudged?.[frame] && !isKeptAt(frame);
    const tolerated = toleratedFrames === 0 ? 0 : shortRuns(isLostAt, { fromFrame, toFrame }, toleratedFrames);
    const share = frames === 0 ? 1 : (keptFrames + tolerated) / frames;
    const isSeen = frames > 0 || unjudgedFrames === 0;
    const kept = kind === 'none' || (isSeen && share >= requiredShare && isKeyMomentKept !== false);
    return { beatId: beat.id, subjectId, kind, frames, unjudgedFrames, keptFrames, share, isKeyMomentKept, kept, worstFrame };
  });
}

/** Frames of the runs that are no longer than `longest`. */
function shortRuns(
  isLostAt: (frame: number) => boolean,
  { fromFrame, toFrame }: { readonly fromFrame: number; readonly toFrame: number },
  longest: number,
): number {
  let [run, total] = [0, 0];
  for (let frame = fromFrame; frame <= toFrame; frame++) {
    if (frame < toFrame && isLostAt(frame)) run++;
    else {
      if (run <= longest) total += run;
      run = 0;
    }
  }
  return total;
}

/** Blur that a beat requires, in percent of the picture's width, with what one circle of confusion is. */
interface RequiredBlur {
  readonly circlePercent: number;
  readonly blurPercent: number;
}

function isSoftEnough(blurCircles: number, { circlePercent, blurPercent }: RequiredBlur): boolean {
  return blurCircles * circlePercent >= blurPercent * TOLERANCE;
}

interface FramesKept {
  readonly keptFrames: number;
  /** Frame with the most blur, or of what must be soft the least; null for an empty range */
  readonly worstFrame: number | null;
}

/** Number of frames of a range in which a subject is unjudged. */
function unjudgedIn({ unjudged }: SubjectFrames, fromFrame: number, toFrame: number): number {
  let count = 0;
  if (unjudged !== null) for (let frame = fromFrame; frame < toFrame; frame++) count += unjudged[frame]!;
  return count;
}

/** First frame of a range in which a subject is seen; its end if there is none. */
function firstSeen({ unjudged }: SubjectFrames, fromFrame: number, toFrame: number): number {
  let frame = fromFrame;
  while (frame < toFrame && unjudged?.[frame]) frame++;
  return Math.max(frame, fromFrame);
}

function sharpIn(subject: SubjectFrames, fromFrame: number, toFrame: number): FramesKept {
  const { sharp, blurCircles, unjudged } = subject;
  const first = firstSeen(subject, fromFrame, toFrame);
  if (first >= toFrame) return { keptFrames: 0, worstFrame: null };
  let [keptFrames, worstFrame] = [0, first];
  for (let frame = first; frame < toFrame; frame++) {
    if (unjudged !== null && unjudged[frame]) continue;
    keptFrames += sharp[frame]!;
    if (blurCircles[frame]! > blurCircles[worstFrame]!) worstFrame = frame;
  }
  return { keptFrames, worstFrame };
}

function softIn(subject: SubjectFrames, fromFrame: number, toFrame: number, required: RequiredBlur): FramesKept {
  const { blurCircles, unjudged } = subject;
  const first = firstSeen(subject, fromFrame, toFrame);
  if (first >= toFrame) return { keptFrames: 0, worstFrame: null };
  let [keptFrames, worstFrame] = [0, first];
  for (let frame = first; frame < toFrame; frame++) {
    if (unjudged !== null && unjudged[frame]) continue;
    if (isSoftEnough(blurCircles[frame]!, required)) keptFrames++;
    if (blurCircles[frame]! < blurCircles[worstFrame]!) worstFrame = frame;
  }
  return { keptFrames, worstFrame };
}

/** Number of frames in which something must be sharp, and of those in which all of it is. */
export function requiredFrames(beats: readonly Beat[], judged: JudgedFrames): { requiredFrames: number; sharpFrames: number } {
  const { captureFps, frameCount } = judged;
  const state = new Uint8Array(frameCount); // 0 nothing required, 1 required and sharp, 2 required and soft
  for (const beat of beats) {
    if (beat.requirement !== 'sharp') continue;
    const { sharp, unjudged } = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let i = fromFrame; i < toFrame; i++) if (state[i] !== 2 && !unjudged?.[i]) state[i] = sharp[i] ? 1 : 2;
  }
  let [sharpFrames, softFrames] = [0, 0];
  for (let i = 0; i < frameCount; i++) {
    if (state[i] === 1) sharpFrames++;
    else if (state[i] === 2) softFrames++;
  }
  return { requiredFrames: sharpFrames + softFrames, sharpFrames };
}

/** Required frame with the least room. */
export function findTightest(beats: readonly Beat[], judged: JudgedFrames) {
  const { captureFps, frameCount } = judged;
  let tightest: { frame: number; subjectId: string; marginMm: number } | null = null;
  for (const beat of beats) {
    if (beat.requirement !== 'sharp') continue;
    const subject = framesOf(beat, judged);
    const { marginMm, subjectId, unjudged } = subject;
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    let frame = firstSeen(subject, fromFrame, toFrame);
    if (frame >= toFrame) continue;
    for (let i = frame + 1; i < toFrame; i++) if (marginMm[i]! < marginMm[frame]! && !unjudged?.[i]) frame = i;
    if (tightest === null || marginMm[frame]! < tightest.marginMm) tightest = { frame, subjectId, marginMm: marginMm[frame]! };
  }
  return tightest;
}

/** Spans in which a subject that must be soft is too sharp, in order of time. */
export function findTooSharpSpans(beats: readonly Beat[], judged: JudgedFrames): TooSharpSpan[] {
  const { captureFps, frameCount, circlePercent } = judged;
  const spans = beats.flatMap((beat) => {
    if (beat.requirement !== 'soft') return [];
    const { blurCircles, unjudged } = framesOf(beat, judged);
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    const found: TooSharpSpan[] = [];
    const percentAt = (frame: number) => blurCircles[frame]! * circlePercent;
    const isTooSharp = (frame: number) =>
      frame < toFrame && !unjudged?.[frame] && percentAt(frame) < beat.blurPercent * TOLERANCE;
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

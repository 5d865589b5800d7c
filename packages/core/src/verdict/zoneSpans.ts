import type { Subject } from '../floor/index.js';
import { ringOf } from '../kit/index.js';
import { focusTrack } from '../track/index.js';
import { unjudgedFramesOf, planDistances, type ShotPlan, spansWhere, type TimeSpan } from '../plan/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { FrameMemory } from './frameMemory.js';
import { sampleTrack, judgeSubject } from './frames.js';
import type { TrackSamples, SubjectFrames } from './pullVerdict.js';

/** Frames of a subject, whether or not it must be sharp; null if the track has no start or the subject no stay. */
export function framesOf(
  plan: ShotPlan,
  subject: Subject,
): { readonly line: TrackSamples; readonly subject: SubjectFrames } | null {
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  if (track === null || subject.stays.length === 0) return null;
  const { captureFps } = plan;
  const memory = new FrameMemory(countFrames(plan.durationS, captureFps), 1);
  const judged = sampleTrack(track.fillRingDeg, ring, plan.optics, { memory, captureFps });
  const scene = { distances: planDistances(plan), unjudged: unjudgedFramesOf(plan, subject.id) };
  return { line: judged.frames, subject: judgeSubject(subject, scene, judged) };
}

/** Spans in which a subject is seen and sharp, at the capture rate. */
export function zoneSpans(plan: ShotPlan, subject: Subject): TimeSpan[] {
  const frames = framesOf(plan, subject);
  return frames === null ? [] : sharpSpans(frames.subject, plan);
}

/** Runs of frames in which a subject is seen and sharp, as time spans. */
export function sharpSpans(
  { sharp, unjudged }: Pick<SubjectFrames, 'sharp' | 'unjudged'>,
  shot: Pick<ShotPlan, 'captureFps' | 'durationS'>,
): TimeSpan[] {
  return spansWhere(shot, (frame) => sharp[frame] === 1 && !unjudged?.[frame]);
}

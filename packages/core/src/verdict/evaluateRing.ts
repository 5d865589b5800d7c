import { ringOf } from '../kit/index.js';
import type { FillRingDeg } from '../track/index.js';
import { activeBeats, unjudgedFramesOf, planDistances, type ShotPlan } from '../plan/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { FrameMemory } from './frameMemory.js';
import { sampleTrack, judgeSubject } from './frames.js';
import type { CompleteVerdict } from './pullVerdict.js';
import { judgeBeats, judgedFrames, requiredFrames } from './totals.js';

/** Verdict on actual ring angles, from a hand or a motor: same frames and beats as for the plan. */
export type RingVerdict = Pick<
  CompleteVerdict,
  'frameCount' | 'captureFps' | 'circleOfConfusionMm' | 'track' | 'subjects' | 'beats' | 'requiredFrames' | 'sharpFrames'
>;

/**
 * Evaluates a plan with the actual ring angles; subjects and camera as planned.
 *
 * @param ringDegAt - actual ring angle at a plan time
 * @returns null if no distance is known
 */
export function evaluateRing(plan: ShotPlan, ringDegAt: (timeS: number) => number): RingVerdict | null {
  const { optics, captureFps } = plan;
  const standing = plan.subjects.filter((subject) => subject.stays.length > 0);
  if (standing.length === 0) return null;
  const frameCount = countFrames(plan.durationS, captureFps);
  const fillRingDeg: FillRingDeg = (ringDeg, timesS, fromFrame, toFrame) => {
    for (let frame = fromFrame; frame < toFrame; frame++) ringDeg[frame] = ringDegAt(timesS[frame]!);
  };
  const memory = new FrameMemory(frameCount, standing.length);
  const track = sampleTrack(fillRingDeg, ringOf(optics.lens), optics, { memory, captureFps });
  const distances = planDistances(plan);
  const subjects = standing.map((subject) => {
    const unjudged = unjudgedFramesOf(plan, subject.id);
    return judgeSubject(subject, { distances, unjudged }, track);
  });
  const beats = activeBeats(plan).filter(({ subjectId }) => standing.some(({ id }) => id === subjectId));
  const judged = judgedFrames(plan, subjects, frameCount, track.circleOfConfusionMm);
  return {
    frameCount,
    captureFps,
    circleOfConfusionMm: track.circleOfConfusionMm,
    track: track.frames,
    subjects,
    beats: judgeBeats(beats, judged),
    ...requiredFrames(beats, judged),
  };
}

import { ringOf } from '../kit/index.js';
import { beatsNow, planDistances, type ShotPlan } from '../pull/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { judgeLine, judgeSubject } from './frames.js';
import type { JudgedPull } from './pullVerdict.js';
import { judgeBeats, judgedFrames, requiredFrames } from './totals.js';

/** What a ring that was turned by a hand, or a motor, made of a plan: the same frames and beats as the plan itself is judged by. */
export type JudgedRing = Pick<
  JudgedPull,
  'frameCount' | 'captureFps' | 'circleOfConfusionMm' | 'line' | 'subjects' | 'beats' | 'requiredFrames' | 'sharpFrames'
>;

/**
 * Judges a plan with the ring where it really was, everyone else as planned.
 *
 * @param ringDegAt - the ring's angle at a time of the shot
 * @returns null while nobody has a distance
 */
export function judgeRing(plan: ShotPlan, ringDegAt: (timeS: number) => number): JudgedRing | null {
  const { optics, captureFps } = plan;
  const standing = plan.subjects.filter((subject) => subject.stays.length > 0);
  if (standing.length === 0) return null;
  const frameCount = countFrames(plan.durationS, captureFps);
  const line = judgeLine({ ringDegAt }, ringOf(optics.lens), optics, frameCount, captureFps);
  const distances = planDistances(plan);
  const subjects = standing.map((subject) => judgeSubject(subject, distances, line));
  const beats = beatsNow(plan).filter(({ subjectId }) => standing.some(({ id }) => id === subjectId));
  const judged = judgedFrames(plan, subjects, frameCount, line.circleOfConfusionMm);
  return {
    frameCount,
    captureFps,
    circleOfConfusionMm: line.circleOfConfusionMm,
    line: line.frames,
    subjects,
    beats: judgeBeats(beats, judged),
    ...requiredFrames(beats, judged),
  };
}

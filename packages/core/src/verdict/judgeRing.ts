import { ringOf } from '../kit/index.js';
import { beatsNow, planDistances, type ShotPlan } from '../pull/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { judgeLine, judgeSubject } from './frames.js';
import type { JudgedPull } from './pullVerdict.js';
import { judgeBeats, judgedFrames, requiredFrames } from './totals.js';

/** Verdict on actual ring angles, from a hand or a motor: same frames and beats as for the plan. */
export type JudgedRing = Pick<
  JudgedPull,
  'frameCount' | 'captureFps' | 'circleOfConfusionMm' | 'line' | 'subjects' | 'beats' | 'requiredFrames' | 'sharpFrames'
>;

/**
 * Evaluates a plan with the actual ring angles; subjects and camera as planned.
 *
 * @param ringDegAt - actual ring angle at a plan time
 * @returns null if no distance is known
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

import { ringOf } from '../kit/index.js';
import { focusLine, planDistances, type ShotPlan } from '../pull/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { causeFinder } from './cause.js';
import { judgeLine, judgeSubject } from './frames.js';
import { judgeMoves } from './moves.js';
import type { JudgedPull, Missing, MoveVerdict, PullVerdict } from './pullVerdict.js';
import { softSpansOf } from './softSpans.js';
import { judgeBeats, requiredFrames, tightestOf } from './totals.js';

/**
 * Judges a plan frame by frame at its capture rate: who is sharp, by how much, from when not, and which move is to blame.
 *
 * @param plan - one that `checkPlan` passes
 * @returns `incomplete` with what is missing while there is no distance or nobody must be sharp; else the whole verdict
 * @throws {CoreError} for optics that can't be computed with
 */
export function evaluatePull(plan: ShotPlan): PullVerdict {
  const { optics } = plan;
  const ring = ringOf(optics.lens);
  const line = focusLine(plan, ring);
  const standing = plan.subjects.filter((subject) => subject.stays.length > 0);
  const beats = plan.beats.filter((beat) => standing.some((subject) => subject.id === beat.subjectId));
  const missing: Missing[] = line === null || standing.length === 0 ? ['distance'] : beats.length === 0 ? ['beat'] : [];
  if (line === null || missing.length > 0) return { status: 'incomplete', missing };

  const { captureFps, durationS } = plan;
  const frameCount = countFrames(durationS, captureFps);
  const distances = planDistances(plan);
  const judgedLine = judgeLine(line, ring, optics, frameCount, captureFps);
  const subjects = standing.map((subject) => judgeSubject(subject, distances, judgedLine));

  const softSpans = beats
    .flatMap((beat) => {
      const at = standing.findIndex((subject) => subject.id === beat.subjectId);
      const causeAt = causeFinder(line, ring, optics, standing[at]!, distances, subjects[at]!, captureFps);
      return softSpansOf(beat, subjects[at]!, judgedLine.frames, captureFps, causeAt);
    })
    .sort((a, b) => a.fromFrame - b.fromFrame);
  const beatVerdicts = judgeBeats(beats, subjects, captureFps, frameCount);
  const moves = judgeMoves(line, ring, plan);
  const isKept = beatVerdicts.every((beat) => beat.kept);
  return {
    status: 'judged',
    outcome: outcomeOf(isKept, moves),
    frameCount,
    captureFps,
    durationS,
    circleOfConfusionMm: judgedLine.circleOfConfusionMm,
    line: judgedLine.frames,
    subjects,
    ...requiredFrames(beats, subjects, captureFps, frameCount),
    softSpans,
    tightest: tightestOf(beats, subjects, captureFps, frameCount),
    beats: beatVerdicts,
    moves,
  };
}

function outcomeOf(isKept: boolean, moves: readonly MoveVerdict[]): JudgedPull['outcome'] {
  if (!isKept) return 'soft';
  if (moves.some((move) => move.grade === 'beyond')) return 'beyond-the-hand';
  return moves.some((move) => move.grade === 'tight') ? 'barely' : 'sharp';
}

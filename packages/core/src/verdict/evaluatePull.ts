import { ringOf } from '../kit/index.js';
import { beatsNow, focusLine, planDistances, type ShotPlan } from '../pull/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { causeFinder } from './cause.js';
import { fastestOf, isTooFast } from './fastest.js';
import { judgeLine, judgeSubject } from './frames.js';
import { judgeMoves } from './moves.js';
import type { JudgedPull, Missing, MoveVerdict, PullVerdict } from './pullVerdict.js';
import { softSpansOf } from './softSpans.js';
import { judgeBeats, judgedFrames, requiredFrames, tightestOf, tooSharpSpans } from './totals.js';

/**
 * Evaluates a plan frame by frame at its capture rate: who is sharp, by how much, from when not, and which pull is the cause.
 *
 * @param plan - a valid plan
 * @returns `incomplete` with what is missing if no distance is known or nothing is required; else the full verdict
 * @throws {CoreError} for invalid optics
 */
export function evaluatePull(plan: ShotPlan): PullVerdict {
  const { optics } = plan;
  const ring = ringOf(optics.lens);
  const line = focusLine(plan, ring);
  const standing = plan.subjects.filter((subject) => subject.stays.length > 0);
  const beats = beatsNow(plan).filter((beat) => standing.some((subject) => subject.id === beat.subjectId));
  const missing: Missing[] =
    line === null || standing.length === 0 ? ['distance'] : beats.every(({ kind }) => kind === 'drift') ? ['beat'] : [];
  if (line === null || missing.length > 0) return { status: 'incomplete', missing };

  const { captureFps, durationS } = plan;
  const frameCount = countFrames(durationS, captureFps);
  const distances = planDistances(plan);
  const judgedLine = judgeLine(line, ring, optics, frameCount, captureFps);
  const subjects = standing.map((subject) => judgeSubject(subject, distances, judgedLine));

  const softSpans = beats
    .filter(({ kind }) => kind === 'sharp')
    .flatMap((beat) => {
      const at = standing.findIndex((subject) => subject.id === beat.subjectId);
      const causeAt = causeFinder(line, ring, optics, standing[at]!, distances, subjects[at]!, captureFps);
      return softSpansOf(beat, subjects[at]!, judgedLine.frames, captureFps, causeAt);
    })
    .sort((a, b) => a.fromFrame - b.fromFrame);
  const judged = judgedFrames(plan, subjects, frameCount, judgedLine.circleOfConfusionMm);
  const beatVerdicts = judgeBeats(beats, judged);
  const moves = judgeMoves(line, ring, plan);
  const fastest = fastestOf(judgedLine.frames.ringDeg, moves, plan);
  const isKept = beatVerdicts.every((beat) => beat.kept);
  return {
    status: 'judged',
    outcome: outcomeOf(isKept, moves, fastest),
    frameCount,
    captureFps,
    durationS,
    circleOfConfusionMm: judgedLine.circleOfConfusionMm,
    line: judgedLine.frames,
    subjects,
    ...requiredFrames(beats, judged),
    softSpans,
    tooSharp: tooSharpSpans(beats, judged),
    fastest,
    tightest: tightestOf(beats, judged),
    beats: beatVerdicts,
    moves,
  };
}

function outcomeOf(isKept: boolean, moves: readonly MoveVerdict[], fastest: JudgedPull['fastest']): JudgedPull['outcome'] {
  if (!isKept) return 'soft';
  if (moves.some((move) => move.grade === 'beyond') || isTooFast(fastest)) return 'beyond-the-hand';
  return moves.some((move) => move.grade === 'tight') ? 'barely' : 'sharp';
}

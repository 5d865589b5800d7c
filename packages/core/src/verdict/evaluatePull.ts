import { ringOf } from '../kit/index.js';
import { plannedBeats, planDistances, type ShotPlan, unjudgedFramesOf } from '../plan/index.js';
import { focusTrack } from '../track/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { causeFinder } from './cause.js';
import { FrameMemory } from './frameMemory.js';
import { peakSpeedOf, exceedsHandLimit } from './peakSpeed.js';
import { type KnownFrames, sampleTrack, judgeSubject, type TrackFrames } from './frames.js';
import { assessPulls } from './assessPulls.js';
import type { CompleteVerdict, Missing, PullAssessment, PullVerdict } from './pullVerdict.js';
import { hiddenSpansOf } from './hiddenSpans.js';
import { softSpansOf } from './softSpans.js';
import { judgeBeats, judgedFrames, requiredFrames, findTightest, findTooSharpSpans } from './totals.js';

/**
 * Evaluates a plan frame by frame at its capture rate: who is sharp, by how much, from when not, and which pull is the cause.
 *
 * @param plan - a valid plan
 * @returns `incomplete` with what is missing if no distance is known or nothing is required; else the full verdict
 * @throws {CoreError} for invalid optics
 */
export function evaluatePull(plan: ShotPlan): PullVerdict {
  return evaluateFrames(plan).verdict;
}

/** A verdict with the frames of its track, from which a similar plan can be evaluated; null if it is incomplete. */
export interface EvaluatedFrames {
  readonly verdict: PullVerdict;
  readonly track: TrackFrames | null;
}

/**
 * Like `evaluatePull`, with the frames of the track.
 *
 * @param known - frames of a plan that differs from this one only within a span; the same verdict, faster
 */
export function evaluateFrames(plan: ShotPlan, known?: KnownFrames): EvaluatedFrames {
  const parts = judgeParts(plan, known);
  if (typeof parts === 'string') return { verdict: { status: 'incomplete', missing: [parts] }, track: null };
  const { focusing, standing, judgedBeats, trackFrames, subjects, judged, result } = parts;
  const { captureFps, durationS } = plan;
  const softSpans = judgedBeats
    .filter(({ requirement: kind }) => kind === 'sharp')
    .flatMap((beat) => {
      const at = standing.findIndex((subject) => subject.id === beat.subjectId);
      const causeAt = causeFinder(plan, focusing, standing[at]!, subjects[at]!);
      return softSpansOf(beat, subjects[at]!, trackFrames.frames, { captureFps, causeAt });
    })
    .sort((a, b) => a.fromFrame - b.fromFrame);
  const verdict: CompleteVerdict = {
    status: 'judged',
    ...result,
    frameCount: judged.frameCount,
    durationS,
    circleOfConfusionMm: trackFrames.circleOfConfusionMm,
    track: trackFrames.frames,
    subjects,
    softSpans,
    tooSharpSpans: findTooSharpSpans(judgedBeats, judged),
    hiddenSpans: hiddenSpansOf(plan, judgedBeats, judged.frameCount),
    tightest: findTightest(judgedBeats, judged),
  };
  return { verdict, track: trackFrames };
}

/** What counts of a verdict, without its spans and their causes. */
export type VerdictResult = Pick<
  CompleteVerdict,
  'outcome' | 'captureFps' | 'requiredFrames' | 'sharpFrames' | 'fastest' | 'beats' | 'pulls'
>;

/**
 * The result of `evaluatePull` alone, for plans that are only compared.
 *
 * @param known - as in `evaluateFrames`
 * @returns null if the plan is incomplete
 */
export function evaluateResult(plan: ShotPlan, known?: KnownFrames): VerdictResult | null {
  const parts = judgeParts(plan, known);
  return typeof parts === 'string' ? null : parts.result;
}

/** The frames of a plan and its result, or what it still needs. */
function judgeParts(plan: ShotPlan, known?: KnownFrames) {
  const { optics, captureFps, durationS } = plan;
  const ring = ringOf(optics.lens);
  const track = focusTrack(plan, ring);
  const standing = plan.subjects.filter((subject) => subject.stays.length > 0);
  const judgedBeats = plannedBeats(plan).filter((beat) => standing.some((subject) => subject.id === beat.subjectId));
  if (track === null || standing.length === 0) return 'distance' satisfies Missing;
  if (judgedBeats.every(({ requirement }) => requirement === 'none')) return 'beat' satisfies Missing;

  const frameCount = countFrames(durationS, captureFps);
  const distances = planDistances(plan);
  const memory = new FrameMemory(frameCount, standing.length);
  const trackFrames = sampleTrack(track.fillRingDeg, ring, optics, { memory, captureFps, ...(known ? { known } : {}) });
  const subjects = standing.map((subject) => {
    const unjudged = unjudgedFramesOf(plan, subject.id);
    return judgeSubject(subject, { distances, unjudged }, trackFrames, known);
  });
  const judged = judgedFrames(plan, subjects, frameCount, trackFrames.circleOfConfusionMm);
  const beats = judgeBeats(judgedBeats, judged);
  const pulls = assessPulls(track, ring, plan);
  const fastest = peakSpeedOf(trackFrames.frames.ringDeg, pulls, plan);
  const isKept = beats.every((beat) => beat.kept);
  const outcome = outcomeOf(isKept, pulls, fastest);
  const result: VerdictResult = { outcome, captureFps, ...requiredFrames(judgedBeats, judged), fastest, beats, pulls };
  return { focusing: { track, ring, distances }, standing, judgedBeats, trackFrames, subjects, judged, result };
}

function outcomeOf(
  isKept: boolean,
  pulls: readonly PullAssessment[],
  fastest: CompleteVerdict['fastest'],
): CompleteVerdict['outcome'] {
  if (!isKept) return 'soft';
  if (pulls.some((pull) => pull.grade === 'too-hard') || exceedsHandLimit(fastest)) return 'too-hard';
  return pulls.some((pull) => pull.grade === 'tight') ? 'tight' : 'sharp';
}

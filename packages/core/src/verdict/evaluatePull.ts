import { ringOf } from '../kit/index.js';
import { activeBeats, planDistances, type ShotPlan } from '../plan/index.js';
import { focusTrack } from '../track/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { causeFinder } from './cause.js';
import { peakSpeedOf, exceedsHandLimit } from './peakSpeed.js';
import { type KnownFrames, sampleTrack, judgeSubject, type TrackFrames } from './frames.js';
import { assessPulls } from './assessPulls.js';
import type { CompleteVerdict, Missing, PullAssessment, PullVerdict } from './pullVerdict.js';
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
  const { optics } = plan;
  const ring = ringOf(optics.lens);
  const track = focusTrack(plan, ring);
  const standing = plan.subjects.filter((subject) => subject.stays.length > 0);
  const beats = activeBeats(plan).filter((beat) => standing.some((subject) => subject.id === beat.subjectId));
  if (track === null || standing.length === 0) return incomplete('distance');
  if (beats.every(({ requirement }) => requirement === 'none')) return incomplete('beat');

  const { captureFps, durationS } = plan;
  const frameCount = countFrames(durationS, captureFps);
  const distances = planDistances(plan);
  const trackFrames = sampleTrack(track, ring, optics, { frameCount, captureFps, ...(known ? { known } : {}) });
  const subjects = standing.map((subject) => judgeSubject(subject, distances, trackFrames, known));

  const softSpans = beats
    .filter(({ requirement: kind }) => kind === 'sharp')
    .flatMap((beat) => {
      const at = standing.findIndex((subject) => subject.id === beat.subjectId);
      const causeAt = causeFinder(plan, { track, ring, distances }, standing[at]!, subjects[at]!);
      return softSpansOf(beat, subjects[at]!, trackFrames.frames, { captureFps, causeAt });
    })
    .sort((a, b) => a.fromFrame - b.fromFrame);
  const judged = judgedFrames(plan, subjects, frameCount, trackFrames.circleOfConfusionMm);
  const beatVerdicts = judgeBeats(beats, judged);
  const pulls = assessPulls(track, ring, plan);
  const fastest = peakSpeedOf(trackFrames.frames.ringDeg, pulls, plan);
  const isKept = beatVerdicts.every((beat) => beat.kept);
  const verdict: CompleteVerdict = {
    status: 'judged',
    outcome: outcomeOf(isKept, pulls, fastest),
    frameCount,
    captureFps,
    durationS,
    circleOfConfusionMm: trackFrames.circleOfConfusionMm,
    track: trackFrames.frames,
    subjects,
    ...requiredFrames(beats, judged),
    softSpans,
    tooSharpSpans: findTooSharpSpans(beats, judged),
    fastest,
    tightest: findTightest(beats, judged),
    beats: beatVerdicts,
    pulls,
  };
  return { verdict, track: trackFrames };
}

function incomplete(missing: Missing): EvaluatedFrames {
  return { verdict: { status: 'incomplete', missing: [missing] }, track: null };
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

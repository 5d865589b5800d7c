import { ASSUMED_MARK_SIGMA_MM, ASSUMED_TIMING_SIGMA_S, hasAssumedUncertainty } from '../floor/index.js';
import { ringOf, wheelDegOf } from '../kit/index.js';
import {
  activeBeats,
  ASSUMED_CUE_SIGMA_S,
  cameraErrorsOf,
  distanceSigmaMm,
  handAt,
  isCameraMoving,
  isCameraTravelling,
  pullEndS,
  secondJobAt,
  type ShotPlan,
} from '../plan/index.js';
import { ASSUMED_HAND, type Hand, handAtTwoJobs } from '../hand/index.js';
import { evaluatePull, type PullAssessment } from '../verdict/index.js';

/** Where the errors of a trial come from. */
export type ErrorSource =
  /** A subject misses its marks */
  | { readonly kind: 'marks'; readonly subjectId: string }
  /** Someone is early or late */
  | { readonly kind: 'timing'; readonly subjectId: string }
  /** A distance was measured wrongly */
  | { readonly kind: 'measuring'; readonly markId: string }
  /** A pull is set off early or late */
  | { readonly kind: 'cue'; readonly pullId: string }
  /** A pull lands beside its target */
  | { readonly kind: 'landing'; readonly pullId: string }
  /** The hand follows a subject or a course, with an offset and a lag; null for the start of the track */
  | { readonly kind: 'following'; readonly pullId: string | null }
  /** The camera drifts along its axis: an operator who sways or walks */
  | { readonly kind: 'camera-drift' }
  /** The camera is early or late on its path */
  | { readonly kind: 'camera-timing' }
  /** The camera misses its marks: the ends of its moves, and its start where that was typed */
  | { readonly kind: 'camera-stop' };

/** An error source with its size, one standard deviation, in mm, seconds, or degrees of what the hand holds. */
export interface SizedError {
  readonly source: ErrorSource;
  readonly sigma: number;
  readonly unit: 'mm' | 's' | 'deg';
  /** The value is assumed, not typed or measured */
  readonly isAssumed: boolean;
}

/** Errors of a pull, one standard deviation each. */
export interface PullErrors {
  readonly pullId: string;
  /** Mean delay of the start */
  readonly reactionS: number;
  readonly cueSigmaS: number;
  /** Landing error in ring degrees */
  readonly ringSigmaDeg: number;
}

/** Width of a distribution in standard deviations that contains 96 %: effective width of ISO 9241-411. */
const EFFECTIVE_WIDTH_SIGMAS = 4.133;

/**
 * Landing error of a pull. With exactly the needed time, a hand hits the window 96 % of the time. Less time means more scatter.
 * This is the law that gives the needed time, solved for the width.
 *
 * Source: ISO 9241-411, effective target width; time = a + b log2(travel / width + 1), solved for the width.
 */
export function landingSigmaDeg(
  {
    travelDeg,
    availableS,
    isAgainstHardStop,
    wheel,
    secondJob,
  }: Pick<PullAssessment, 'travelDeg' | 'availableS' | 'isAgainstHardStop' | 'wheel' | 'secondJob'>,
  ownHand: Hand,
): number {
  const hand = secondJob ? handAtTwoJobs(ownHand) : ownHand;
  if (isAgainstHardStop || travelDeg === 0) return 0;
  const steadyDeg = (hand.steadyDeg * travelDeg) / (wheel?.travelDeg ?? travelDeg);
  const bits = (availableS - hand.reactionS) / hand.perBitS;
  const widthDeg = bits <= 0 ? Infinity : travelDeg / (2 ** bits - 1);
  // limited to the scatter of not turning at all
  return Math.max(steadyDeg, Math.min(widthDeg / EFFECTIVE_WIDTH_SIGMAS, travelDeg / 2));
}

/**
 * Mean start delay of a pull. A cue with count-in is met on time, one without after a reaction time. The clock has no delay.
 */
export function reactionS({ trigger, countInS }: ShotPlan['focusTrack']['pulls'][number], hand: Hand): number {
  return trigger === 'clock' || countInS > 0 ? 0 : hand.reactionS;
}

/**
 * Errors of a hand that follows a moving subject from a time to a time: steadiness in angle, reaction time as lag. A second job anywhere in
 * that time makes all of it harder.
 */
export function followErrors(plan: ShotPlan, fromS: number, toS: number): { ringSigmaDeg: number; lagSigmaS: number } {
  const times = Array.from({ length: FOLLOW_SAMPLES }, (_, k) => fromS + ((toS - fromS) * (k + 0.5)) / FOLLOW_SAMPLES);
  const busyS = times.find((timeS) => secondJobAt(plan, timeS) !== null);
  const { wheel } = plan;
  const hand = busyS === undefined ? plan.hand : handAt(plan, busyS);
  return { ringSigmaDeg: hand.steadyDeg / Math.abs(wheelDegOf(wheel, 1)), lagSigmaS: hand.reactionS };
}

/** Times at which a second job is looked for. */
const FOLLOW_SAMPLES = 12;

/** Errors of every pull of a plan. */
export function pullErrors(plan: ShotPlan, pulls: readonly PullAssessment[]): PullErrors[] {
  return plan.focusTrack.pulls.map((pull, index) => ({
    pullId: pull.id,
    reactionS: reactionS(pull, handAt(plan, pullEndS(pull))),
    cueSigmaS: pull.cueSigmaS,
    ringSigmaDeg: Math.min(landingSigmaDeg(pulls[index]!, plan.hand), ringOf(plan.optics.lens).throwDeg / 4),
  }));
}

/** Every error source that can lose a take of this plan: of required subjects, of marks the ring goes to, and of pulls. */
export function errorSources(plan: ShotPlan): SizedError[] {
  const verdict = evaluatePull(plan);
  if (verdict.status === 'incomplete') return [];
  const asked = new Set(activeBeats(plan).flatMap(({ requirement: kind, subjectId }) => (kind === 'none' ? [] : subjectId)));
  const changes = new Set(
    verdict.subjects.flatMap(({ subjectId, distanceMm }) => (distanceMm.some((mm) => mm !== distanceMm[0]) ? subjectId : [])),
  );
  const people = plan.subjects
    .filter(({ id, kind }) => asked.has(id) && kind !== 'object')
    .flatMap(({ id: subjectId, markSigmaMm, timingSigmaS }): SizedError[] => [
      sized({ kind: 'marks', subjectId }, markSigmaMm, 'mm', markSigmaMm === ASSUMED_MARK_SIGMA_MM),
      // a subject whose distance never changes can't be late
      ...(changes.has(subjectId)
        ? [sized({ kind: 'timing', subjectId }, timingSigmaS, 's', timingSigmaS === ASSUMED_TIMING_SIGMA_S)]
        : []),
    ]);
  const goesTo = new Set(
    [plan.focusTrack.start!, ...plan.focusTrack.pulls.map(({ target }) => target)].flatMap((target) =>
      target.kind === 'mark' ? target.markId : [],
    ),
  );
  const marks = plan.marks
    .filter(({ id, distanceMm }) => goesTo.has(id) && distanceMm !== null)
    .map((mark) => sized({ kind: 'measuring', markId: mark.id }, distanceSigmaMm(plan, mark), 'mm', hasAssumedUncertainty(mark)));
  const { reactionS: waits, perBitS, steadyDeg } = plan.hand;
  const isAssumedHand =
    waits === ASSUMED_HAND.reactionS && perBitS === ASSUMED_HAND.perBitS && steadyDeg === ASSUMED_HAND.steadyDeg;
  const pulls = pullErrors(plan, verdict.pulls).flatMap(({ pullId, cueSigmaS, ringSigmaDeg }, index): SizedError[] => {
    const { travelDeg, wheel } = verdict.pulls[index]!;
    const inHandDeg = travelDeg === 0 ? 0 : (ringSigmaDeg * (wheel?.travelDeg ?? travelDeg)) / travelDeg;
    return [
      sized({ kind: 'cue', pullId }, cueSigmaS, 's', cueSigmaS === ASSUMED_CUE_SIGMA_S),
      sized({ kind: 'landing', pullId }, inHandDeg, 'deg', isAssumedHand),
    ];
  });
  const following = [plan.focusTrack.start!, ...plan.focusTrack.pulls.map(({ target }) => target)].flatMap(
    (target, index): SizedError[] => {
      if (target.kind !== 'subject' && target.kind !== 'course') return [];
      const pullId = index === 0 ? null : plan.focusTrack.pulls[index - 1]!.id;
      const { lagSigmaS } = followErrors(plan, ...holdSpan(plan, index));
      return [sized({ kind: 'following', pullId }, lagSigmaS, 's', isAssumedHand)];
    },
  );
  return [...people, ...marks, ...pulls, ...following, ...cameraSources(plan)];
}

/** When a hold of the track begins and ends: the first is its start. */
export function holdSpan({ focusTrack: { pulls }, durationS }: ShotPlan, index: number): readonly [fromS: number, toS: number] {
  const [before, after] = [pulls[index - 1], pulls[index]];
  return [before ? before.startS : 0, after ? after.startS : durationS];
}

/** Errors of the camera that its support has. Only a camera that moves is late; only one that moves along the floor stops beside its marks. */
function cameraSources(plan: ShotPlan): SizedError[] {
  const { driftSigmaMm, timingSigmaS, stopSigmaMm } = cameraErrorsOf(plan);
  const isAssumed = plan.cameraErrors === null;
  return [
    ...(plan.rig || plan.cameraErrors ? [sized({ kind: 'camera-drift' }, driftSigmaMm, 'mm', isAssumed)] : []),
    ...(isCameraMoving(plan) ? [sized({ kind: 'camera-timing' }, timingSigmaS, 's', isAssumed)] : []),
    ...cameraMisses(plan, stopSigmaMm, isAssumed),
  ];
}

/** The largest miss of a place of the camera: of the ends of its moves, and of its start where somebody has typed it. */
function cameraMisses(plan: ShotPlan, stopSigmaMm: number, isAssumed: boolean): SizedError[] {
  const [start, ...ends] = plan.floor?.camera ?? [];
  const typed = [...(isCameraTravelling(plan) ? ends : []), ...(start ? [start] : [])].flatMap(
    ({ missSigmaMm }) => missSigmaMm ?? [],
  );
  const isByRig = isCameraTravelling(plan) && ends.some(({ missSigmaMm }) => missSigmaMm === null);
  if (typed.length === 0 && !isByRig) return [];
  const sigma = Math.max(...typed, isByRig ? stopSigmaMm : 0);
  return [sized({ kind: 'camera-stop' }, sigma, 'mm', isAssumed && typed.length === 0)];
}

function sized(source: ErrorSource, sigma: number, unit: SizedError['unit'], isAssumed: boolean): SizedError {
  return { source, sigma, unit, isAssumed };
}

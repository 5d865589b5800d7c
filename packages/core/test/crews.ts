import {
  eased,
  evaluatePull,
  focusTrack,
  loggedHit,
  type PullErrors,
  pullErrors,
  ringOf,
  scorePulls,
  type ShotPlan,
  type Take,
} from '../src/index';
import { numbersFrom } from './randomPlans';

/** A normal number from even ones, by Box and Muller. */
function normalFrom(next: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}

const HZ = 50;

/** Where a hand turns the ring in one take: every pull starts late by its errors, and lands beside its mark. */
function turnedBy(plan: ShotPlan, errors: readonly PullErrors[], normal: () => number): Float64Array {
  const { start, pulls } = focusTrack(plan, ringOf(plan.optics.lens))!;
  const made = pulls.map((pull, index) => ({
    startS: pull.startS + errors[index]!.reactionS + errors[index]!.cueSigmaS * normal(),
    durationS: pull.endS - pull.startS,
    toDeg: pull.to.ringDeg + errors[index]!.ringSigmaDeg * normal(),
    easing: plan.focusTrack.pulls[index]!.easing,
  }));
  const degs = new Float64Array(plan.durationS * HZ + 1).fill(start.ringDeg);
  for (const { startS, durationS, toDeg, easing } of made) {
    const first = Math.max(0, Math.ceil(startS * HZ));
    const landed = Math.ceil((startS + durationS) * HZ);
    for (let k = first; k < landed && k < degs.length; k++)
      degs[k]! += (toDeg - degs[k]!) * eased(easing, (k / HZ - startS) / durationS);
    degs.fill(toDeg, landed);
  }
  return degs;
}

/**
 * Takes of a crew, scored from their tracks.
 *
 * @param truth - the plan with the errors that the crew really has
 * @param plan - the plan as the crew's takes are judged by it
 */
export function takesOfCrew(truth: ShotPlan, plan: ShotPlan, count: number, seed: number): Pick<Take, 'hits' | 'markMisses'>[] {
  const verdict = evaluatePull(truth);
  if (verdict.status !== 'judged') throw new Error('incomplete');
  const errors = pullErrors(truth, verdict.pulls);
  const normal = normalFrom(numbersFrom(seed));
  return Array.from({ length: count }, () => {
    // every cue comes when it is planned: the time of the take is that of the plan
    const hits = scorePulls(plan, { hz: HZ, ringDeg: turnedBy(truth, errors, normal) }).map(loggedHit);
    const markMisses = truth.subjects.flatMap(({ stays, markSigmaMm }) =>
      stays.map(({ markId }) => ({ markId, byMm: Math.round(markSigmaMm * normal()) })),
    );
    return { hits, markMisses };
  });
}

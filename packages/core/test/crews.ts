import {
  addPull,
  changeBeat,
  changePull,
  changeSubject,
  eased,
  evaluatePull,
  focusTrack,
  loggedHit,
  type PullErrors,
  pullErrors,
  ringOf,
  scorePulls,
  setHand,
  setStop,
  type ShotPlan,
  type Take,
} from '../src/index';
import { twoPeople } from './plans';
import { numbersFrom } from './randomPlans';

/** A normal number from even ones, by Box and Muller. */
function normalFrom(next: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}

/** Old Tam, Ines and back, and once more: four pulls, of which two answer to a look and are counted in or not. */
export function fourPulls(): ShotPlan {
  let plan: ShotPlan = { ...setStop(twoPeople(), 4), durationS: 13 };
  plan = changePull(plan, 'pull-1', { startS: 2.5, durationS: 1.2, trigger: 'look', cue: 'she turns', countInS: 0 });
  for (const [markId, startS] of [
    ['mark-1', 5],
    ['mark-2', 8],
    ['mark-1', 10.5],
  ] as const)
    plan = addPull(plan, markId, startS);
  for (const [index, durationS] of [1.2, 1, 1.5, 0.8].entries()) plan = changePull(plan, `pull-${index + 1}`, { durationS });
  plan = { ...plan, beats: plan.beats.slice(0, 2) };
  return changeBeat(changeBeat(plan, 'beat-1', { fromS: 0, toS: 2.4 }), 'beat-2', { fromS: 4, toS: 4.8 });
}

/** The errors of one crew, better or worse than assumed. */
export function crewOf(plan: ShotPlan, next: () => number): ShotPlan {
  const between = (low: number, high: number) => low + (high - low) * next();
  let truth = setHand(plan, { reactionS: between(0.1, 0.35), steadyDeg: between(0.4, 2), perBitS: between(0.1, 0.3) });
  for (const { id } of truth.focusTrack.pulls) truth = changePull(truth, id, { cueSigmaS: between(0.04, 0.12) });
  for (const { id } of truth.subjects) truth = changeSubject(truth, id, { markSigmaMm: Math.round(between(10, 60)) });
  return truth;
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
export function takesOfCrew(
  truth: ShotPlan,
  plan: ShotPlan,
  count: number,
  seed: number,
): Pick<Take, 'hits' | 'markMisses' | 'ringFrom'>[] {
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
    return { hits, markMisses, ringFrom: 'device' };
  });
}

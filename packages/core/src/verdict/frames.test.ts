import { caseCount } from '../../test/caseCount';
import { FUZZED_PLANS } from '../../test/fuzz';
import { longShot } from '../../test/plans';
import { RANDOM_PLANS } from '../../test/randomPlans';
import { ringOf } from '../kit/index';
import { blurDiameterMm, conjugates, depthOfField } from '../optics/index';
import { checkPlan, planDistances, type ShotPlan, zoneLensAt } from '../plan/index';
import { focusTrack } from '../track/index';
import { evaluatePull } from './evaluatePull';

/** Largest difference of a column from its values one by one; 0 also where both are infinite. */
function largestDifference(column: Float64Array, valueAt: (frame: number) => number): number {
  let largest = 0;
  for (const [frame, value] of column.entries()) {
    const expected = valueAt(frame);
    if (value !== expected) largest = Math.max(largest, Math.abs(value - expected) / Math.max(1, Math.abs(expected)));
  }
  return largest;
}

/** Compares every frame of a verdict with the same frame worked out on its own. @returns number of subjects compared */
function compare(plan: ShotPlan): number {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') return 0;
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring)!;
  const distances = planDistances(plan);
  const timeOf = (frame: number) => frame / plan.captureFps;
  const ringDegAt = (frame: number) => track.ringDegAt(timeOf(frame));
  const lenses = Array.from(verdict.track.timesS, (timeS, frame) => ({
    ...zoneLensAt(plan.optics, timeS),
    focusDistanceMm: ring.distanceAt(ringDegAt(frame)),
  }));
  const lensAt = (frame: number) => lenses[frame]!;
  expect(largestDifference(verdict.track.timesS, timeOf)).toBe(0);
  expect(largestDifference(verdict.track.ringDeg, ringDegAt)).toBe(0);
  expect(largestDifference(verdict.track.focusMm, (frame) => lensAt(frame).focusDistanceMm)).toBe(0);
  expect(largestDifference(verdict.track.fNumber, (frame) => lensAt(frame).fNumber)).toBe(0);
  expect(largestDifference(verdict.track.nearMm, (frame) => depthOfField(lensAt(frame)).nearMm)).toBeLessThan(1e-12);
  expect(largestDifference(verdict.track.farMm, (frame) => depthOfField(lensAt(frame)).farMm)).toBeLessThan(1e-12);
  for (const frames of verdict.subjects) {
    const subject = plan.subjects.find(({ id }) => id === frames.subjectId)!;
    expect(largestDifference(frames.distanceMm, (frame) => distances.focusMmAt(subject, timeOf(frame)))).toBe(0);
    expect(largestDifference(frames.marginMm, (frame) => roomIn(lensAt(frame), frames.distanceMm[frame]!))).toBeLessThan(1e-6);
    const circlesAt = (frame: number) => blurCirclesOf(lensAt(frame), frames.distanceMm[frame]!) ?? frames.blurCircles[frame]!;
    expect(largestDifference(frames.blurCircles, circlesAt)).toBeLessThan(1e-9);
    const wrong = frames.sharp.findIndex((sharp, frame) => sharp !== (frames.blurCircles[frame]! <= 1 + 1e-9 ? 1 : 0));
    expect(wrong).toBe(-1);
  }
  return verdict.subjects.length;
}

function roomIn(lens: Parameters<typeof depthOfField>[0], distanceMm: number): number {
  const { nearMm, farMm } = depthOfField(lens);
  return farMm === Infinity ? distanceMm - nearMm : Math.min(distanceMm - nearMm, farMm - distanceMm);
}

/** Blur in circles of confusion; null for a subject that is nearer than the lens itself, which has no blur of its own. */
function blurCirclesOf(lens: Parameters<typeof depthOfField>[0], distanceMm: number): number | null {
  const { focalLengthMm, focusDistanceMm, principalSeparationMm = 0, circleOfConfusionMm } = lens;
  const { imageMm } = conjugates(focalLengthMm, focusDistanceMm, principalSeparationMm);
  if (distanceMm - imageMm - principalSeparationMm < 1) return null;
  return blurDiameterMm({ ...lens, subjectDistanceMm: distanceMm }) / circleOfConfusionMm;
}

/** A zoom and an iris pull over the first third, and a ring in steps. */
const changing = (plan: ShotPlan): ShotPlan[] => {
  const move = { id: 'change', startS: 0.2, durationS: plan.durationS / 3 };
  const { optics } = plan;
  return [
    { ...plan, optics: { ...optics, irisPulls: [{ ...move, to: optics.stop * 2 }] } },
    { ...plan, optics: { ...optics, lens: { ...optics.lens, response: 'steps' as const, stepCount: 300 } } },
  ];
};

test('a verdict has in every frame what the frame has on its own', () => {
  const plans = [
    ...FUZZED_PLANS.flatMap((plan) => [plan, ...changing(plan)]),
    longShot(),
    ...RANDOM_PLANS.slice(4, 4 + caseCount(6)),
  ];
  const valid = plans.filter((plan) => checkPlan(plan).length === 0);
  const compared = valid.reduce((sum, plan) => sum + compare(plan), 0);
  expect(compared).toBeGreaterThan(60);
});

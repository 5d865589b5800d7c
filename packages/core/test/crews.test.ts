import {
  addPull,
  changeBeat,
  changePull,
  changeSubject,
  fitCrew,
  keepRate,
  setHand,
  setStop,
  type ShotPlan,
  usesCrewFit,
  wilsonInterval,
  withCrewFit,
} from '../src/index';
import { takesOfCrew } from './crews';
import { twoPeople } from './plans';
import { numbersFrom } from './randomPlans';

/** Old Tam, Ines and back, and once more: four pulls, of which two answer to a look and are counted in or not. */
function shot(): ShotPlan {
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
function crewOf(plan: ShotPlan, next: () => number): ShotPlan {
  const between = (low: number, high: number) => low + (high - low) * next();
  let truth = setHand(plan, { reactionS: between(0.1, 0.35), steadyDeg: between(0.4, 2), perBitS: between(0.1, 0.3) });
  for (const { id } of truth.focusTrack.pulls) truth = changePull(truth, id, { cueSigmaS: between(0.04, 0.12) });
  for (const { id } of truth.subjects) truth = changeSubject(truth, id, { markSigmaMm: Math.round(between(10, 60)) });
  return truth;
}

describe('a crew whose errors are known, over 100 takes', () => {
  const plan = shot();
  const CREWS = 20;
  const crews = Array.from({ length: CREWS }, (_, crew) => {
    const truth = crewOf(plan, numbersFrom(100 + crew));
    return { truth, fit: fitCrew(plan, takesOfCrew(truth, plan, 100, 500 + crew)) };
  });
  /** Mean of estimate over truth, which is 1 without bias. */
  const ratio = (of: (one: (typeof crews)[number]) => number) => crews.reduce((sum, one) => sum + of(one), 0) / CREWS;

  test('the spread of their cues is found, pull by pull, within a tenth', () => {
    for (const [index, { id }] of plan.focusTrack.pulls.entries()) {
      const off = ratio(({ truth, fit }) => fit.cueSigmaS.get(id)! / truth.focusTrack.pulls[index]!.cueSigmaS);
      expect(Math.abs(off - 1)).toBeLessThan(0.1);
    }
  });

  test('so is the reaction to a look that nobody counts in', () => {
    expect(Math.abs(ratio(({ truth, fit }) => fit.reactionS! - truth.hand.reactionS))).toBeLessThan(0.01);
  });

  test('so is how far people miss their marks', () => {
    for (const { id, name } of plan.subjects) {
      const off = ratio(
        ({ truth, fit }) => fit.markSigmaMm.get(id)! / truth.subjects.find((one) => one.name === name)!.markSigmaMm,
      );
      expect(Math.abs(off - 1)).toBeLessThan(0.1);
    }
  });

  test('a hand that is better than assumed is believed as much as one that is worse', () => {
    const [better, worse] = [0.7, 1.5].map((factor) => {
      const truth = setHand(plan, { perBitS: plan.hand.perBitS * factor });
      const fit = fitCrew(plan, takesOfCrew(truth, plan, 100, 77));
      return fit.hand!.perBitS / truth.hand.perBitS;
    });
    expect(Math.abs(better! - 1)).toBeLessThan(0.1);
    expect(Math.abs(worse! - 1)).toBeLessThan(0.1);
  });

  test('a plan that believes the fit predicts what then happens: within the interval for 19 of 20 crews', () => {
    const inside = crews.filter(({ truth, fit }, crew) => {
      const predicted = keepRate(withCrewFit(plan, fit), { takes: 4000, seed: 1 }).keepRate;
      const happened = keepRate(truth, { takes: 100, seed: 900 + crew }).keepRate;
      const { low, high } = wilsonInterval(Math.round(happened * 100), 100);
      return predicted >= low && predicted <= high;
    });
    expect(inside.length).toBeGreaterThanOrEqual(19);
  });

  test('fitted again from itself, the plan has the errors already', () => {
    const { fit } = crews[0]!;
    const fitted = withCrewFit(plan, fit);
    expect(usesCrewFit(plan, fit)).toBe(false);
    expect(usesCrewFit(fitted, fit)).toBe(true);
  });
});

test('a few takes tell nothing: the plan stays as it is', () => {
  const plan = shot();
  const few = takesOfCrew(plan, plan, 3, 1);
  expect(
    withCrewFit(
      plan,
      fitCrew(
        plan,
        few.map((take) => ({ ...take, hits: take.hits.slice(0, 1), markMisses: [] })),
      ),
    ),
  ).toEqual(plan);
});

import { fitCrew, keepRate, setHand, usesCrewFit, wilsonInterval, withCrewFit } from '../src/index';
import { crewOf, fourPulls, takesOfCrew } from './crews';
import { numbersFrom } from './randomPlans';

describe('a crew whose errors are known, over 100 takes', () => {
  const plan = fourPulls();
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

  test('a hand that only reacts later than assumed is not taken for one that turns slower', () => {
    const truth = setHand(plan, { reactionS: plan.hand.reactionS + 0.2 });
    const { hand } = fitCrew(plan, takesOfCrew(truth, plan, 100, 78));
    expect(Math.abs(hand!.perBitS / truth.hand.perBitS - 1)).toBeLessThan(0.1);
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
  const plan = fourPulls();
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

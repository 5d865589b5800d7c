import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { twoPeople } from '../../test/plans';
import { RANDOM_PLANS } from '../../test/randomPlans';
import {
  addSubject,
  changeBeat,
  changeMark,
  changePull,
  changeSubject,
  newPlan,
  setLens,
  setStop,
  setTrackStart,
  type ShotPlan,
} from '../plan/index';
import { ASSUMED_HAND } from '../hand/index';
import { evaluatePull } from '../verdict/index';
import { wilsonInterval, keepRate } from './keepRate';
import { chanceOfOneKept } from './severalTakes';
import { landingSigmaDeg } from './errorSources';
import { mergeCounts, runTrials } from './runTrials';
import { normalQuantile } from './normalQuantile';
import type { PreparedTrials } from './preparedTrials';
import { prepareTrials } from './prepareTrials';
import { createTrialLoop } from './trialLoop';
import { trialColumns } from './trialColumns';

interface Vector {
  readonly focalLengthMm: number;
  readonly fNumber: number;
  readonly circleOfConfusionMm: number;
  readonly focusDistanceMm: number;
  readonly markSigmaMm: number;
  readonly keepRate: number;
}

const VECTORS = (JSON.parse(readFileSync(join(__dirname, '../../test/vectors/reference.json'), 'utf8')) as { keepRate: Vector[] })
  .keepRate;

/** Only the subject that misses its mark has an error. */
function withoutErrors(plan: ShotPlan): ShotPlan {
  return {
    ...plan,
    subjects: plan.subjects.map((subject) => ({ ...subject, markSigmaMm: 0, timingSigmaS: 0 })),
    marks: plan.marks.map((mark) => ({ ...mark, uncertaintyMm: 0 })),
    focusTrack: { ...plan.focusTrack, pulls: plan.focusTrack.pulls.map((pull) => ({ ...pull, cueSigmaS: 0 })) },
  };
}

/** One who stands, at a lens and a sharpness of a reference case. */
function standing({ focalLengthMm, fNumber, circleOfConfusionMm, focusDistanceMm, markSigmaMm }: Vector): ShotPlan {
  let plan = setLens(newPlan(), {
    name: 'as the reference has it',
    focalLengthMm,
    transmittance: 1,
    widestStop: 0.7,
    narrowestStop: 45,
    closeFocusMm: Math.max(4.2 * focalLengthMm, focusDistanceMm / 4),
  });
  plan = setStop(addSubject(plan, { name: 'Ines', distanceMm: focusDistanceMm }), fNumber);
  const { sensorWidthMm, sensorHeightMm } = plan.optics.camera;
  const divisor = Math.hypot(sensorWidthMm, sensorHeightMm) / circleOfConfusionMm;
  plan = { ...plan, optics: { ...plan.optics, sharpness: { kind: 'diagonal', divisor } } };
  return changeSubject(withoutErrors(plan), 'subject-1', { markSigmaMm });
}

test('one who only misses their mark: as the closed form has it, within 0.01 at 20,000 takes', () => {
  expect(VECTORS.length).toBeGreaterThan(5);
  for (const vector of VECTORS) {
    const { keepRate: rate, low, high } = keepRate(standing(vector), { takes: 20_000, seed: 7 });
    expect(Math.abs(rate - vector.keepRate)).toBeLessThan(0.01);
    expect(low).toBeLessThanOrEqual(rate);
    expect(high).toBeGreaterThanOrEqual(rate);
  }
});

test('the error falls as one over the root of the takes', () => {
  const vectors = VECTORS.filter(({ keepRate: rate }) => rate > 0.2 && rate < 0.8).slice(0, 6);
  const errorAt = (takes: number) => {
    const squares = vectors.flatMap((vector) =>
      [1, 2, 3, 4, 5, 6].map((seed) => (keepRate(standing(vector), { takes, seed }).keepRate - vector.keepRate) ** 2),
    );
    return Math.sqrt(squares.reduce((sum, square) => sum + square, 0) / squares.length);
  };
  const [few, many] = [errorAt(250), errorAt(4000)];
  // sixteen times the takes: a quarter of the error, give or take what thirty-six runs vary
  expect(few / many).toBeGreaterThan(2.7);
  expect(few / many).toBeLessThan(6);
});

describe('takes', () => {
  const plan = changeBeat(changePull(twoPeople(), 'pull-1', { durationS: 1.6 }), 'beat-2', { fromS: 6 });

  test('come out the same for a seed, however they are shared out, and otherwise for another', () => {
    const whole = prepareTrials(plan);
    if ('missing' in whole) throw new Error('not prepared');
    const once = runTrials(whole, 5, { first: 0, count: 1000 });
    const parts = mergeCounts([
      runTrials(whole, 5, { first: 600, count: 400 }),
      runTrials(whole, 5, { first: 0, count: 340 }),
      runTrials(whole, 5, { first: 340, count: 260 }),
    ]);
    expect(parts).toEqual(once);
    expect(runTrials(whole, 6, { first: 0, count: 1000 })).not.toEqual(once);
    // left as soon as they are lost they are as many
    expect(runTrials(whole, 5, { first: 0, count: 1000 }, true).kept).toBe(once.kept);
    expect(keepRate(plan, { takes: 1000, seed: 5 }).keepRate).toBe(once.kept / 1000);
  });

  test('without any error every take is as the plan is judged', () => {
    for (const given of RANDOM_PLANS.slice(0, 60)) {
      // a pull that nobody aims lands where it is planned
      const plain = withoutErrors(given);
      const exact = { ...plain, hand: { ...plain.hand, steadyDeg: 0, perBitS: 1e-4, reactionS: 0 } };
      const verdict = evaluatePull(exact);
      if (verdict.status !== 'judged') continue;
      const { keepRate: rate, frames, sharpShare } = keepRate(exact, { takes: 3, seed: 1 });
      expect(rate).toBe(verdict.beats.every(({ kept }) => kept) ? 1 : 0);
      expect(sharpShare).toBeCloseTo(verdict.sharpFrames / verdict.requiredFrames, 9);
      expect(frames.filter((share) => !Number.isNaN(share))).toHaveLength(verdict.requiredFrames);
    }
  });

  test('every error costs takes, and a beat that is required for less of its time is kept more often', () => {
    const rateOf = (one: ShotPlan) => keepRate(one, { takes: 4000, seed: 3 }).keepRate;
    const still = withoutErrors(plan);
    const worse: [string, ShotPlan][] = [
      ['missing marks', changeSubject(still, 'subject-2', { markSigmaMm: 60 })],
      ['measuring badly', changeMark(still, 'mark-2', { uncertaintyMm: 60 })],
      ['cues', changePull(still, 'pull-1', { cueSigmaS: 0.5 })],
      ['a reaction', changePull(still, 'pull-1', { trigger: 'look', countInS: 0, cueSigmaS: 0.3 })],
    ];
    const best = rateOf(still);
    for (const [what, one] of worse) expect([what, rateOf(one) < best - 0.02]).toEqual([what, true]);
    const late = changePull(still, 'pull-1', { cueSigmaS: 0.5 });
    expect(rateOf(changeBeat(late, 'beat-2', { requiredShare: 0.8 }))).toBeGreaterThan(rateOf(late));
    expect(rateOf(setStop(worse[0]![1], 5.6))).toBeGreaterThan(rateOf(worse[0]![1]));
  });

  test('per beat and per frame it is what the whole is made of', () => {
    const {
      beats,
      frames,
      keepRate: rate,
      expectedTakes,
      takesForNineOfTen,
      setupsKept,
    } = keepRate(plan, { takes: 3000, seed: 9 });
    expect(beats.map(({ beatId }) => beatId)).toEqual(['beat-1', 'beat-2']);
    expect(rate).toBeLessThanOrEqual(Math.min(...beats.map((beat) => beat.keepRate)));
    expect(frames[10]).toBeGreaterThanOrEqual(beats[0]!.keepRate);
    expect(Number.isNaN(frames[24 * 5]!)).toBe(true);
    // a set-up that is measured wrongly loses all its takes: more are needed than if each had a chance of its own
    expect(expectedTakes).toBeGreaterThan(1 / rate);
    expect(chanceOfOneKept(setupsKept, rate, takesForNineOfTen)).toBeGreaterThanOrEqual(0.9 - 1e-9);
    expect(chanceOfOneKept(setupsKept, rate, takesForNineOfTen - 1)).toBeLessThan(0.9);
  });

  test('a key moment, a stop turned on the way, someone who must be soft, a follow: all are taken', () => {
    const soft = changeBeat(plan, 'beat-2', { requirement: 'soft', blurPercent: 0.6 });
    expect(keepRate(soft, { takes: 500, seed: 1 }).beats[1]!.keepRate).toBeLessThan(0.5);
    const follow = setTrackStart(plan, { kind: 'subject', subjectId: 'subject-1', leadS: 0 });
    expect(keepRate(follow, { takes: 500, seed: 1 }).beats[0]!.keepRate).toBeGreaterThan(0.5);
    const opens: ShotPlan = {
      ...plan,
      optics: { ...plan.optics, stop: 8, irisPulls: [{ id: 'stop-1', startS: 5, durationS: 2, to: 2.2 }] },
    };
    const [first, second] = keepRate(opens, { takes: 2000, seed: 1 }).beats;
    expect(first!.keepRate).toBeGreaterThan(second!.keepRate);
    const keyed = changeBeat(changeBeat(plan, 'beat-2', { requiredShare: 0.01 }), 'beat-2', { keyMomentS: 8 });
    const loose = changeBeat(keyed, 'beat-2', { keyMomentS: null });
    expect(keepRate(keyed, { takes: 2000, seed: 1 }).keepRate).toBeLessThanOrEqual(
      keepRate(loose, { takes: 2000, seed: 1 }).keepRate,
    );
  });

  test.each([
    [() => keepRate(plan, { takes: 0, seed: 1 }), 'out-of-range', 'takes'],
    [() => keepRate(plan, { takes: 1.5, seed: 1 }), 'out-of-range', 'takes'],
    [() => keepRate(plan, { takes: 10, seed: NaN }), 'out-of-range', 'seed'],
    [() => keepRate(newPlan(), { takes: 10, seed: 1 }), 'nothing-to-judge', 'subjects'],
    [() => keepRate({ ...plan, beats: [] }, { takes: 10, seed: 1 }), 'nothing-to-judge', 'beats'],
  ])('what can’t be drawn is said: %#', (act, code, path) => expect(act).toThrow(expect.objectContaining({ code, path })));
});

test('what is drawn is normal: as many below each quantile as there should be, also far out', () => {
  const quantiles = [0.0005, 0.01, 0.2, 0.5, 0.9, 0.999];
  const limits = quantiles.map(normalQuantile);
  const below = quantiles.map(() => 0);
  const loop = createTrialLoop();
  for (let take = 0; take < 20_000; take++) {
    for (const number of loop.draws(3, take, 20)) limits.forEach((limit, k) => (below[k]! += number < limit ? 1 : 0));
  }
  // four standard deviations of what 400,000 draws may vary
  for (const [k, p] of quantiles.entries())
    expect(Math.abs(below[k]! / 400_000 - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / 400_000));
});

describe('how a hand lands', () => {
  const move = { travelDeg: 60, isAgainstHardStop: false, wheel: null, secondJob: null };
  const timeFor = (windowDeg: number) => 0.15 + 0.22 * Math.log2(60 / windowDeg + 1);

  test('in just the time a window needs it hits it 96 times of 100; in more time more often', () => {
    const sigma = landingSigmaDeg({ ...move, availableS: timeFor(5) }, ASSUMED_HAND);
    expect(sigma).toBeCloseTo(5 / 4.133, 9);
    // 4.133 standard deviations hold 96 of 100
    expect(normalQuantile(0.98)).toBeCloseTo(4.133 / 2, 1);
    expect(landingSigmaDeg({ ...move, availableS: timeFor(5) * 1.5 }, ASSUMED_HAND)).toBeLessThan(sigma / 2);
    expect(landingSigmaDeg({ ...move, availableS: 60 }, ASSUMED_HAND)).toBe(0.25);
    expect(landingSigmaDeg({ ...move, availableS: 0.1 }, ASSUMED_HAND)).toBe(30);
  });

  test('against a hard stop it lands where the stop is', () => {
    expect(landingSigmaDeg({ ...move, availableS: 0.3, isAgainstHardStop: true }, ASSUMED_HAND)).toBe(0);
    expect(landingSigmaDeg({ ...move, travelDeg: 0, availableS: 1 }, ASSUMED_HAND)).toBe(0);
  });
});

test('the quantiles of the normal distribution, and an interval that stays within 0 and 1', () => {
  for (const [p, z] of [
    [0.5, 0],
    [0.8413447460685429, 1],
    [0.9772498680518208, 2],
    [0.01, -2.3263478740408408],
    [0.999, 3.090232306167813],
  ] as const)
    expect(normalQuantile(p)).toBeCloseTo(z, 7);
  expect(wilsonInterval(0, 100).low).toBeCloseTo(0, 12);
  expect(wilsonInterval(0, 100).high).toBeGreaterThan(0.02);
  expect(wilsonInterval(100, 100).high).toBeCloseTo(1, 12);
  expect(wilsonInterval(50, 100).low).toBeCloseTo(0.4038, 3);
});

describe('the compiled loop', () => {
  const prepared = () => prepareTrials(twoPeople()) as PreparedTrials;

  test('reads the columns in the order in which they are laid out', () => {
    const source = readFileSync(join(__dirname, '../../loop/columns.ts'), 'utf8');
    const declared = [...source.matchAll(/^ {2}(\w+): (?:f64|i32|usize);$/gm)].map(([, name]) => name);
    expect(trialColumns(prepared()).names).toEqual(declared);
  });

  test('of its own is not disturbed by another one', () => {
    const [one, other] = [createTrialLoop(), createTrialLoop()];
    const columns = trialColumns(prepared());
    const alone = one.run(columns, 5, { first: 0, count: 200 }, false);
    other.draws(9, 1, 1000);
    const [first, second] = [
      one.run(columns, 5, { first: 0, count: 100 }, false),
      other.run(columns, 5, { first: 100, count: 100 }, false),
    ];
    expect(first.kept + second.kept).toBe(alone.kept);
    expect(first.sharp.map((value, frame) => value + second.sharp[frame]!)).toEqual(alone.sharp);
  });
});

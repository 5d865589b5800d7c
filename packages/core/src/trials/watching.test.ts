import {
  addPull,
  addStay,
  addSubject,
  changeBeat,
  changePull,
  changeSubject,
  checkPlan,
  depthOfField,
  DEFAULT_WATCHING,
  evaluatePull,
  minPullTimeS,
  newPlan,
  planCircleMm,
  setDuration,
  setStop,
  type ShotPlan,
  watchFigures,
  type Watching,
  zoneLensAt,
} from '../index';
import { prepareTrials } from './prepareTrials';
import { runTrials } from './runTrials';
import { keepRateOf } from './keepRate';
import { RANDOM_PLANS } from '../../test/randomPlans';

const display = (changes: Partial<Watching> = {}): Watching => ({ ...DEFAULT_WATCHING, on: 'display', ...changes });
/** A large display near the eyes: softness is noticed as soon as there is any. */
const GOOD = display({ displayInches: 40, distanceMm: 300, delayS: 0, rightWayShare: 1 });

/** Ines stands 3 m away for ten seconds and misses her mark by 25 cm, at a stop where the zone is about 22 cm deep. Measured exactly. */
function standing(changes: Partial<ShotPlan['beats'][number]> = {}): ShotPlan {
  const plan = changeSubject(addSubject(setStop(newPlan(), 3.2), { name: 'Ines', distanceMm: 3000 }), 'subject-1', {
    markSigmaMm: 250,
  });
  const exact = { ...plan, marks: plan.marks.map((mark) => ({ ...mark, uncertaintyMm: 0 })) };
  return changeBeat(exact, 'beat-1', changes);
}

const TAKES = 20_000;
function rateOf(plan: ShotPlan, watching?: Watching, takes = TAKES): number {
  const prepared = prepareTrials(plan, { watching });
  if ('missing' in prepared) throw new Error('missing');
  return keepRateOf(prepared.beats, runTrials(prepared, 1, { first: 0, count: takes }), 1).keepRate;
}

/** Share of a normal error between two limits, by Simpson's rule. */
function normalShare(from: number, to: number): number {
  const STEPS = 2000;
  const density = (x: number) => Math.exp(-(x ** 2) / 2) / Math.sqrt(2 * Math.PI);
  let sum = 0;
  for (let k = 0; k <= STEPS; k++) {
    const weight = k === 0 || k === STEPS ? 1 : 2 + 2 * (k % 2);
    sum += weight * density(from + ((to - from) * k) / STEPS);
  }
  return (sum * (to - from)) / STEPS / 3;
}
const shareInZone = (plan: ShotPlan, circleMm: number) => {
  const zone = depthOfField({ ...zoneLensAt(plan.optics, 0), circleOfConfusionMm: circleMm, focusDistanceMm: 3000 });
  return normalShare((zone.nearMm - 3000) / 250, (zone.farMm - 3000) / 250);
};
const correctFrames = (plan: ShotPlan, watching: Watching) =>
  Math.max(1, Math.round(watchFigures(plan, watching)!.sharpAgainS * plan.captureFps));

describe('somebody who stands beside the mark', () => {
  const blind = shareInZone(standing(), planCircleMm(standing().optics));

  test('nobody watches: as many takes are kept as the mark is hit within the zone', () => {
    expect(blind).toBeGreaterThan(0.3);
    expect(blind).toBeLessThan(0.7);
    expect(rateOf(standing())).toBeCloseTo(blind, 2);
    expect(rateOf(standing(), DEFAULT_WATCHING)).toBe(rateOf(standing()));
  });

  test('a watched take is kept if the beat tolerates what a correction takes, and is lost if it tolerates a frame less', () => {
    const frames = correctFrames(standing(), GOOD);
    expect(rateOf(standing({ toleratedFrames: frames }), GOOD)).toBe(1);
    expect(rateOf(standing({ toleratedFrames: frames - 1 }), GOOD)).toBeCloseTo(blind, 2);
    // what nobody tolerates is lost at the first soft frame, watched or not
    expect(rateOf(standing(), GOOD)).toBe(rateOf(standing()));
    // a soft moment that is never corrected lasts ten seconds
    expect(rateOf(standing({ toleratedFrames: frames }))).toBe(rateOf(standing()));
  });

  test('of corrections that go the wrong way first, as many are lost', () => {
    const unsure = { ...GOOD, rightWayShare: 0.75 };
    const frames = correctFrames(standing(), unsure);
    expect(rateOf(standing({ toleratedFrames: frames }), unsure)).toBeCloseTo(blind + 0.75 * (1 - blind), 2);
    expect(rateOf(standing({ toleratedFrames: 2 * frames }), unsure)).toBe(1);
  });

  test('softness that can’t be seen on the display is not corrected', () => {
    const small = { ...GOOD, displayInches: 5, distanceMm: 500 };
    const { seenBlurMm, seenFromCircles } = watchFigures(standing(), small)!;
    // 5 inches are 110.7 mm wide in this format; 2 minutes of arc at 500 mm are 0.291 mm there, and 0.0654 mm on the sensor
    expect(seenBlurMm).toBeCloseTo(0.0654, 4);
    expect(seenFromCircles).toBeCloseTo(3.43, 1);
    const corrected = 1 - shareInZone(standing(), seenBlurMm);
    expect(rateOf(standing({ toleratedFrames: 100 }), small)).toBeCloseTo(blind + corrected, 2);
  });

  test('the key moment tolerates nothing', () => {
    const keyed = standing({ toleratedFrames: 100, keyMomentS: 0.1 });
    expect(rateOf(keyed, GOOD)).toBeCloseTo(blind, 2);
    // later it has been corrected
    expect(rateOf(standing({ toleratedFrames: 100, keyMomentS: 6 }), GOOD)).toBe(1);
  });

  test('who watches the person sees a miss of a tenth of the distance, and corrects it', () => {
    const eyes: Watching = { ...DEFAULT_WATCHING, on: 'subject', rightWayShare: 1 };
    // 2.7 and 3.3 m: 1.2 standard deviations to either side
    const corrected = 1 - normalShare(-1.2, 1.2);
    expect(rateOf(standing({ toleratedFrames: 100 }), eyes)).toBeCloseTo(blind + corrected, 2);
  });
});

test('sharp again after the delay of the picture, a reaction and a movement of this hand', () => {
  const plan = standing();
  const late = watchFigures(plan, display({ delayS: 0.3 }))!;
  const atOnce = watchFigures(plan, display({ delayS: 0 }))!;
  expect(late.noticedAfterS).toBeCloseTo(plan.hand.reactionS + 0.3, 12);
  expect(late.sharpAgainS - atOnce.sharpAgainS).toBeCloseTo(0.3, 12);
  expect(late.correctionS).toBe(atOnce.correctionS);
  expect(late.correctionS).toBeGreaterThan(minPullTimeS(plan, 0.01, 100));
  const slow = { ...plan, hand: { ...plan.hand, perBitS: 2 * plan.hand.perBitS } };
  expect(watchFigures(slow, display())!.correctionS).toBeGreaterThan(late.correctionS);
  expect(watchFigures(plan, DEFAULT_WATCHING)).toBeNull();
  expect(watchFigures(newPlan(), display())).toBeNull();
});

test('softness is counted frame by frame: a watched miss is sharp again after the correction', () => {
  const plan = standing();
  const prepared = prepareTrials(plan, { watching: GOOD });
  if ('missing' in prepared) throw new Error('missing');
  const { frames } = keepRateOf(prepared.beats, runTrials(prepared, 1, { first: 0, count: 2000 }), 1);
  const at = correctFrames(plan, GOOD);
  expect(frames[0]).toBeLessThan(0.7);
  expect(frames[at - 1]).toBe(frames[0]);
  expect(frames[at]).toBe(1);
  expect(frames.at(-1)).toBe(1);
});

test('a pull that lands wide is corrected in its hold, and the next pull begins as planned', () => {
  let plan = addSubject(setStop(newPlan(), 2.5), { name: 'Old Tam', distanceMm: 3000 });
  plan = addStay(plan, 'subject-1', { distanceMm: 2000, fromS: 5 });
  plan = changePull(addPull(plan, 'mark-2', 4.2), 'pull-1', { durationS: 0.8 });
  plan = { ...plan, beats: [{ ...plan.beats[0]!, fromS: 5.5, toS: 10, toleratedFrames: 40 }] };
  const wide = { ...plan, hand: { ...plan.hand, steadyDeg: 4 } };
  expect(rateOf(wide, undefined, 4000)).toBeLessThan(0.9);
  expect(rateOf(wide, GOOD, 4000)).toBeGreaterThan(0.99);
});

test('with nothing tolerated a watched plan keeps what a blind one keeps, in any plan', () => {
  for (const plan of RANDOM_PLANS.slice(0, 12)) {
    const pulled = { ...plan, focusTrack: { start: { kind: 'mark' as const, markId: 'mark-1' }, pulls: [] } };
    const whole = { ...pulled, beats: pulled.beats.map((beat) => ({ ...beat, requiredShare: 1 })) };
    if (evaluatePull(whole).status !== 'judged') continue;
    expect(rateOf(whole, GOOD, 400)).toBe(rateOf(whole, undefined, 400));
  }
});

describe('a soft moment that a beat tolerates, in the plan itself', () => {
  // she walks through the zone and out of it for a while
  const passing = (toleratedFrames: number): ShotPlan => {
    const plan = addSubject(setDuration(newPlan(), 4), { name: 'Ines', distanceMm: 3000 });
    const away = { ...plan, focusTrack: { start: { kind: 'distance' as const, distanceMm: 5000 }, pulls: [] } };
    return changeBeat(changePull(addPull(away, 'mark-1', 0), 'pull-1', { startS: 0, durationS: 0.5 }), 'beat-1', {
      toleratedFrames,
    });
  };

  test('the beat is kept with as many soft frames as it tolerates, and not with one fewer', () => {
    const judged = (plan: ShotPlan) => {
      const verdict = evaluatePull(plan);
      if (verdict.status !== 'judged') throw new Error(verdict.status);
      return verdict;
    };
    const soft = judged(passing(0)).requiredFrames - judged(passing(0)).sharpFrames;
    expect(soft).toBeGreaterThan(3);
    expect(judged(passing(soft)).beats[0]).toMatchObject({ kept: true, share: 1 });
    expect(judged(passing(soft - 1)).beats[0]!.kept).toBe(false);
    expect(judged(passing(soft)).sharpFrames).toBe(judged(passing(0)).sharpFrames);
    expect(checkPlan(passing(soft))).toEqual([]);
  });
});

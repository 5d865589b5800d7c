import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { defaultWheel } from '../../kit/index';
import {
  addBeat,
  addLandmark,
  addPull,
  addStay,
  addSubject,
  changeBeat,
  changePull,
  changeStay,
  checkPlan,
  newPlan,
  setStop,
  type ShotPlan,
  startFloor,
  stepBack,
} from '../../plan/index';
import { evaluatePull } from '../evaluatePull';
import { findFixes } from './findFixes';
import { orderFixes } from './trackFixes';
import { stepBackFixes, wheelFixes } from './setupFixes';
import { caseCount } from '../../../test/caseCount';

/** The pull to Ines starts when she must already be sharp. */
const late = (): ShotPlan =>
  changeBeat(changePull(twoPeople(), 'pull-1', { startS: 4.4, durationS: 1 }), 'beat-2', { fromS: 5, toS: 10 });

const sharpS = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  return verdict.status === 'judged' ? verdict.sharpFrames / verdict.captureFps : 0;
};

const softS = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  return verdict.status === 'judged' ? (verdict.requiredFrames - verdict.sharpFrames) / verdict.captureFps : Infinity;
};

test('a pull that starts too late is fixed by an earlier start, by no more than needed', () => {
  const fixes = findFixes(late());
  expect(fixes[0]).toMatchObject({ outcome: 'sharp', stopsLost: 0 });
  expect(fixes[0]!.sharpS).toBe(fixes[0]!.requiredS);
  const earlier = fixes.find(({ change }) => change.kind === 'earlier')!;
  if (earlier.change.kind !== 'earlier') throw new Error('of another kind');
  const { byS } = earlier.change;
  expect(earlier.sharpS).toBe(earlier.requiredS);
  // a tenth less gains less, and that much was tried
  expect(sharpS(changePull(late(), 'pull-1', { startS: 4.4 - byS }))).toBe(earlier.sharpS);
  expect(sharpS(changePull(late(), 'pull-1', { startS: 4.4 - byS + 0.1 }))).toBeLessThan(earlier.sharpS);
});

test('where no move is to blame a darker stop is tried, with what it costs in light', () => {
  const thin = setStop(
    {
      ...addSubject(newPlan(), { name: 'Ines', distanceMm: 3000 }),
      focusTrack: { start: { kind: 'distance', distanceMm: 3180 }, pulls: [] },
    },
    2.5,
  );
  const fixes = findFixes(thin);
  const stop = fixes.find(({ change }) => change.kind === 'stop')!;
  expect(stop.change).toMatchObject({ from: 2.5, to: 5 });
  expect(stop.stopsLost).toBeCloseTo(2, 1);
  // new holds keep as much, and cost no light
  expect(fixes[0]!.change).toEqual({ kind: 'split', fromMm: 3180, toMm: 3000, at: null });
});

test('a hand that has no time is given some, without losing what is sharp', () => {
  const rushed = changeBeat(changePull(twoPeople(), 'pull-1', { startS: 4.2, durationS: 0.2 }), 'beat-2', { fromS: 6 });
  const verdict = evaluatePull(rushed);
  expect(verdict.status === 'judged' && verdict.outcome).toBe('too-hard');
  const fixes = findFixes(rushed);
  expect(fixes[0]!.outcome).toBe('sharp');
  expect(fixes.map(({ change }) => change.kind)).toContain('solve-track');
});

test('a plan that can’t be judged is offered nothing', () => {
  expect(findFixes(newPlan())).toEqual([]);
});

test('every offer can be saved, is better than what there is, and is what it says', () => {
  const cases = fc.record({
    startS: fc.double({ min: 0, max: 9, noNaN: true }),
    durationS: fc.double({ min: 0.1, max: 3, noNaN: true }),
    fromS: fc.double({ min: 0, max: 9, noNaN: true }),
    nearMm: fc.integer({ min: 800, max: 6000 }),
  });
  fc.assert(
    fc.property(cases, ({ startS, durationS, fromS, nearMm }) => {
      let plan = addSubject(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), { name: 'Ines', distanceMm: nearMm });
      plan = changePull(addPull(plan, 'mark-2', startS), 'pull-1', { durationS });
      plan = changeBeat(plan, 'beat-2', { fromS });
      const before = softS(plan);
      const fixes = findFixes(plan);
      expect(fixes.length).toBeLessThanOrEqual(8);
      for (const fix of fixes) {
        expect(checkPlan(fix.plan)).toEqual([]);
        expect(fix.sharpS).toBe(sharpS(fix.plan));
        expect(fix.requiredS - fix.sharpS).toBeLessThanOrEqual(before + 1e-9);
      }
      const left = fixes.map(({ sharpS: kept, requiredS }) => Number((requiredS - kept).toFixed(6)));
      expect(left).toEqual([...left].sort((a, b) => a - b));
    }),
    { seed: 55, numRuns: caseCount(20) },
  );
});

describe('someone walks', () => {
  /** From 4 m to 2 m, asked for all the way; the line stands where she starts. */
  const walking = (): ShotPlan => {
    const stands = addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 });
    return changeStay(addStay(stands, 'subject-1', { distanceMm: 2000, fromS: 8 }), 'subject-1', 'stay-1', { untilS: 4 });
  };

  test('the track follows her, with the lead that keeps the most', () => {
    const fix = findFixes(walking())[0]!;
    expect(fix).toMatchObject({ change: { kind: 'follow', subjectId: 'subject-1', leadS: 0 }, outcome: 'sharp' });
    expect(fix.plan.focusTrack.start).toEqual({ kind: 'subject', subjectId: 'subject-1', leadS: 0 });
  });

  test('a follow that runs behind is led otherwise', () => {
    const behind: ShotPlan = {
      ...walking(),
      focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: -0.4 }, pulls: [] },
    };
    const verdict = evaluatePull(behind);
    if (verdict.status !== 'judged') throw new Error('not judged');
    expect(verdict.softSpans[0]!.cause).toEqual({ kind: 'tracking-off', pullId: null });
    const fix = findFixes(behind)[0]!;
    expect(fix.change).toMatchObject({ kind: 'lead', subjectId: 'subject-1' });
    expect(fix.outcome).toBe('sharp');
  });

  test('or she walks less far, or the camera stands back', () => {
    const kinds = findFixes(setStop(walking(), 8)).map(({ change }) => change.kind);
    expect(kinds).toEqual(expect.arrayContaining(['follow', 'shorter-walk']));
    const [back] = stepBackFixes(walking());
    expect(back!.plan.marks.every(({ stale }) => stale === 'camera')).toBe(true);
    expect(checkPlan(back!.plan)).toEqual([]);
    // also at the end of what a plan can hold
    const far = addSubject(newPlan(), { name: 'River ferry', distanceMm: 10_000_000 });
    expect(checkPlan(stepBack(far, 1000))).toEqual([]);
  });
});

describe('a hand that has hardly time', () => {
  const wheel = defaultWheel({ name: 'Hand wheel', wheelPerRing: 2.4, hasEndStops: true, comfortableDeg: 40 });
  const rushed = (): ShotPlan =>
    changeBeat(changePull({ ...twoPeople(), wheel }, 'pull-1', { startS: 4.2, durationS: 0.6 }), 'beat-2', { fromS: 4.8 });

  test('a gear with less to turn, and hard stops, which need no aiming', () => {
    const verdict = evaluatePull(rushed());
    if (verdict.status !== 'judged') throw new Error('not judged');
    const found = wheelFixes(rushed(), verdict);
    expect(found.map(({ change }) => change.kind)).toEqual(['gear', 'hard-stops']);
    const [gear, stops] = found;
    expect(gear!.plan.wheel!.wheelPerRing).toBeLessThan(2.4);
    expect(stops!.plan.marks.map(({ hasHardStop }) => hasHardStop)).toEqual([true, true]);
    const judged = evaluatePull(stops!.plan);
    if (judged.status !== 'judged') throw new Error('not judged');
    expect(judged.pulls[0]!.isAgainstHardStop).toBe(true);
    expect(judged.pulls[0]!.neededS).toBeLessThan(verdict.pulls[0]!.neededS);
  });

  test('the two in the other order, and the shot backwards, are what they say', () => {
    const verdict = evaluatePull(rushed());
    if (verdict.status !== 'judged') throw new Error('not judged');
    const [order, backwards] = orderFixes(rushed(), verdict);
    expect(order!.change).toEqual({ kind: 'other-order', firstId: 'subject-2', secondId: 'subject-1' });
    expect(order!.plan.focusTrack.start).toEqual({ kind: 'mark', markId: 'mark-2' });
    expect(backwards!.plan.isReversed).toBe(true);
    for (const mend of [order!, backwards!]) expect(checkPlan(mend.plan)).toEqual([]);
    const there = evaluatePull(backwards!.plan);
    if (there.status !== 'judged') throw new Error('not judged');
    expect(there.pulls[0]!.windowDeg).toBeCloseTo(verdict.pulls[0]!.oppositeLanding.windowDeg, 9);
  });

  test('eased otherwise where that keeps more', () => {
    const plan = changePull(rushed(), 'pull-1', { startS: 3.9, durationS: 1 });
    const found = findFixes(changeBeat(plan, 'beat-2', { fromS: 4.5 })).map(({ change }) => change);
    expect(found.some(({ kind }) => kind === 'easing' || kind === 'earlier')).toBe(true);
  });
});

test('for two subjects at once the ring is set between them; on a floor, to an object there', () => {
  let plan = addSubject(setStop(newPlan(), 5.6), { name: 'Old Tam', distanceMm: 3000 });
  plan = addSubject(plan, { name: 'Ines', distanceMm: 3250 });
  plan = addBeat(plan, 'subject-2', 0);
  const fix = findFixes(plan).find(({ change }) => change.kind === 'split')!;
  expect(fix.outcome).toBe('sharp');
  if (fix.change.kind !== 'split') throw new Error('of another kind');
  expect(fix.change.toMm).toBeGreaterThan(3000);
  expect(fix.change.toMm).toBeLessThan(3250);
  const drawn = addLandmark(startFloor(plan), 'post', 'lamp post', { xMm: 3120, yMm: 150 });
  const reference = findFixes(drawn).find(({ change }) => change.kind === 'reference')!;
  expect(reference.change).toMatchObject({ at: 'lamp post' });
  expect(reference.outcome).toBe('sharp');
});

test('the search tells after each kind how many of all are tried', () => {
  const told: string[] = [];
  findFixes(setStop(twoPeople(), 2.2), (kinds, total) => told.push(`${kinds} of ${total}`));
  expect([told.length, told[0], told.at(-1)]).toEqual([10, '1 of 10', '10 of 10']);
});

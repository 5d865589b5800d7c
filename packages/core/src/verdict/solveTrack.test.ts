import { longShot, twoPeople } from '../../test/plans';
import { addStay, addSubject, changeBeat, changePull, checkPlan, newPlan, setStop, type ShotPlan } from '../plan/index';
import { fewestHolds, solveTrack, trimmedPlans, tubeOf } from '../track/index';
import { evaluatePull } from './evaluatePull';
import type { CompleteVerdict } from './pullVerdict';

const judged = (plan: ShotPlan): CompleteVerdict => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  return verdict;
};
const softFrames = (plan: ShotPlan) => judged(plan).requiredFrames - judged(plan).sharpFrames;

describe('the fewest holds', () => {
  test('two people one after the other: two settings, at their marks, and the change between them where nobody need be sharp', () => {
    const plan = changeBeat(
      { ...twoPeople(), focusTrack: { start: { kind: 'distance', distanceMm: 9000 }, pulls: [] } },
      'beat-2',
      {
        fromS: 6,
      },
    );
    const laid = solveTrack(plan, 'fewest-holds')!;
    expect(laid).toMatchObject({ holds: 2, impossible: null });
    expect(laid.plan.focusTrack.start).toEqual({ kind: 'mark', markId: 'mark-1' });
    const [pull, ...others] = laid.plan.focusTrack.pulls;
    expect(others).toEqual([]);
    expect(pull!.target).toEqual({ kind: 'mark', markId: 'mark-2' });
    expect(pull!.startS).toBeGreaterThanOrEqual(4 - 1 / 24);
    expect(pull!.startS + pull!.durationS).toBeLessThanOrEqual(6);
    expect(judged(laid.plan).outcome).toBe('sharp');
  });

  test('a pull to where one went before keeps its cue and its id; others get ids of their own', () => {
    const cued = changePull(twoPeople(), 'pull-1', { startS: 1, cue: 'she looks up', cueSigmaS: 0.03 });
    const [pull] = solveTrack(cued, 'fewest-holds')!.plan.focusTrack.pulls;
    expect(pull).toMatchObject({
      id: 'pull-1',
      cue: 'she looks up',
      cueSigmaS: 0.03,
      target: { kind: 'mark', markId: 'mark-2' },
    });
    const elsewhere = changePull(cued, 'pull-1', { target: { kind: 'distance', distanceMm: 9000 } });
    expect(solveTrack(elsewhere, 'fewest-holds')!.plan.focusTrack.pulls[0]).toMatchObject({ id: 'pull-2', cue: '' });
  });

  test('a beat of which a share is enough gives up its end to the change, and both beats are kept', () => {
    const tight = changeBeat(changeBeat(twoPeople(), 'beat-1', { toS: 5 }), 'beat-2', { fromS: 5, toS: 10 });
    expect(judged(solveTrack(tight, 'fewest-holds')!.plan).beats.every(({ kept }) => kept)).toBe(false);
    // 24 of her 120 frames may be lost: a second for a hand that needs less
    const laid = solveTrack(changeBeat(tight, 'beat-1', { requiredShare: 0.8 }), 'fewest-holds')!;
    const verdict = judged(laid.plan);
    expect(verdict.beats.map(({ kept }) => kept)).toEqual([true, true]);
    expect(laid.plan.focusTrack.pulls[0]!.startS + laid.plan.focusTrack.pulls[0]!.durationS).toBeLessThanOrEqual(5 + 1e-6);
    expect(verdict.pulls[0]!.grade).not.toBe('too-hard');
    // so does the start of the second
    const late = solveTrack(changeBeat(tight, 'beat-2', { requiredShare: 0.8 }), 'fewest-holds')!;
    expect(judged(late.plan).beats.map(({ kept }) => kept)).toEqual([true, true]);
    expect(late.plan.focusTrack.pulls[0]!.startS).toBeGreaterThanOrEqual(5 - 1 / 24 - 1e-6);
  });

  test('a key moment at its end is not given up', () => {
    const tight = changeBeat(changeBeat(twoPeople(), 'beat-1', { toS: 5 }), 'beat-2', { fromS: 5, toS: 10 });
    const plan = changeBeat(tight, 'beat-1', { requiredShare: 0.8, keyMomentS: 4.9 });
    for (const { beats } of trimmedPlans(plan)) {
      const [beat] = beats;
      expect(beat!.fromS).toBeLessThanOrEqual(4.9);
      expect(beat!.toS).toBeGreaterThan(4.9);
    }
    expect(trimmedPlans(tight)).toEqual([]);
  });

  test('without time in between the hand goes as fast as it can, and the fewest frames go soft', () => {
    const tight = changeBeat(changeBeat(twoPeople(), 'beat-1', { toS: 5 }), 'beat-2', { fromS: 5, toS: 10 });
    const laid = solveTrack(tight, 'fewest-holds')!;
    const [pull] = laid.plan.focusTrack.pulls;
    expect(judged(laid.plan).pulls[0]!.grade).toBe('tight');
    const least = softFrames(laid.plan);
    expect(least).toBeGreaterThan(0);
    for (let shift = -1; shift <= 1; shift += 1 / 24) {
      const moved = { ...pull!, startS: pull!.startS + shift };
      const other = { ...laid.plan, focusTrack: { ...laid.plan.focusTrack, pulls: [moved] } };
      expect(softFrames(other)).toBeGreaterThanOrEqual(least);
    }
  });

  test('someone who walks needs as many settings as the tube does, and a minute of four people is sharp', () => {
    const walking = changeBeat(
      addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 5000 }), 'subject-1', { distanceMm: 1500, fromS: 9 }),
      'beat-1',
      { toS: 10 },
    );
    const laid = solveTrack(walking, 'fewest-holds')!;
    // the tube asks for more settings than a hand can change between in so short a walk
    expect(laid.holds).toBeLessThan(fewestHolds(tubeOf(walking)).length);
    expect(laid.holds).toBeGreaterThan(2);
    expect(softFrames(laid.plan)).toBeLessThan(softFrames(walking));
    expect(solveTrack(setStop(walking, 22), 'fewest-holds')!.holds).toBeLessThan(laid.holds);
    const minute = solveTrack(longShot(), 'fewest-holds')!;
    expect(judged(minute.plan).outcome).toBe('sharp');
  });

  test('impossible frames are reported with their time, and the rest is worked out', () => {
    const both = { ...twoPeople(), beats: twoPeople().beats.map((beat, k) => ({ ...beat, fromS: 3 * k, toS: 6 + 3 * k })) };
    const laid = solveTrack(setStop(both, 2.2), 'fewest-holds')!;
    expect(laid.impossible).toEqual({ fromS: 3, why: 'at-once' });
    expect(checkPlan(laid.plan)).toEqual([]);
    expect(softFrames(laid.plan)).toBe(3 * 24 * 2 - 3 * 24);
    expect(solveTrack(newPlan(), 'fewest-holds')).toBeNull();
    expect(solveTrack({ ...twoPeople(), beats: [] }, 'fixed')).toBeNull();
  });
});

test('the one setting keeps as many frames as any does', () => {
  const plan = longShot();
  const laid = solveTrack(plan, 'fixed')!;
  expect(laid.holds).toBe(1);
  expect(laid.plan.focusTrack.pulls).toEqual([]);
  const best = softFrames(laid.plan);
  for (const distanceMm of [1500, 2000, 2050, 2400, 2900, 3300, 4600, 6000, 7200, 9000, null])
    expect(softFrames({ ...plan, focusTrack: { start: { kind: 'distance', distanceMm }, pulls: [] } })).toBeGreaterThanOrEqual(
      best,
    );
});

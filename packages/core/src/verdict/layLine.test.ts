import fc from 'fast-check';
import { longShot, twoPeople } from '../../test/plans';
import {
  addStay,
  addSubject,
  changeBeat,
  changeRack,
  checkPlan,
  fewestHolds,
  layLine,
  newPlan,
  setDuration,
  setStop,
  type ShotPlan,
  tubeOf,
} from '../pull/index';
import { evaluatePull, type JudgedPull } from './index';

const judged = (plan: ShotPlan): JudgedPull => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  return verdict;
};
const softFrames = (plan: ShotPlan) => judged(plan).requiredFrames - judged(plan).sharpFrames;

describe('the fewest holds', () => {
  test('two people one after the other: two settings, at their marks, and the change between them where nobody need be sharp', () => {
    const plan = changeBeat({ ...twoPeople(), line: { start: { kind: 'distance', distanceMm: 9000 }, moves: [] } }, 'beat-2', {
      fromS: 6,
    });
    const laid = layLine(plan, 'fewest-holds')!;
    expect(laid).toMatchObject({ holds: 2, impossibleFromS: null });
    expect(laid.plan.line.start).toEqual({ kind: 'mark', markId: 'mark-1' });
    const [move, ...others] = laid.plan.line.moves;
    expect(others).toEqual([]);
    expect(move!.target).toEqual({ kind: 'mark', markId: 'mark-2' });
    expect(move!.startS).toBeGreaterThanOrEqual(4 - 1 / 24);
    expect(move!.startS + move!.durationS).toBeLessThanOrEqual(6);
    expect(judged(laid.plan).outcome).toBe('sharp');
  });

  test('a pull to where one went before keeps its cue and its id; others get ids of their own', () => {
    const cued = changeRack(twoPeople(), 'rack-1', { startS: 1, cue: 'she looks up', cueSigmaS: 0.03 });
    const [move] = layLine(cued, 'fewest-holds')!.plan.line.moves;
    expect(move).toMatchObject({
      id: 'rack-1',
      cue: 'she looks up',
      cueSigmaS: 0.03,
      target: { kind: 'mark', markId: 'mark-2' },
    });
    const elsewhere = changeRack(cued, 'rack-1', { target: { kind: 'distance', distanceMm: 9000 } });
    expect(layLine(elsewhere, 'fewest-holds')!.plan.line.moves[0]).toMatchObject({ id: 'rack-2', cue: '' });
  });

  test('without time in between the hand goes as fast as it can, and the fewest frames go soft', () => {
    const tight = changeBeat(changeBeat(twoPeople(), 'beat-1', { toS: 5 }), 'beat-2', { fromS: 5, toS: 10 });
    const laid = layLine(tight, 'fewest-holds')!;
    const [move] = laid.plan.line.moves;
    expect(judged(laid.plan).moves[0]!.grade).toBe('tight');
    const least = softFrames(laid.plan);
    expect(least).toBeGreaterThan(0);
    for (let shift = -1; shift <= 1; shift += 1 / 24) {
      const moved = { ...move!, startS: move!.startS + shift };
      const other = { ...laid.plan, line: { ...laid.plan.line, moves: [moved] } };
      expect(softFrames(other)).toBeGreaterThanOrEqual(least);
    }
  });

  test('someone who walks needs as many settings as the tube does, and a minute of four people is sharp', () => {
    const walking = changeBeat(
      addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 5000 }), 'subject-1', { distanceMm: 1500, fromS: 9 }),
      'beat-1',
      { toS: 10 },
    );
    const laid = layLine(walking, 'fewest-holds')!;
    expect(laid.holds).toBe(fewestHolds(tubeOf(walking)).length);
    expect(laid.holds).toBeGreaterThan(2);
    expect(softFrames(laid.plan)).toBeLessThan(softFrames(walking));
    expect(layLine(setStop(walking, 22), 'fewest-holds')!.holds).toBeLessThan(laid.holds);
    const minute = layLine(longShot(), 'fewest-holds')!;
    expect(judged(minute.plan).outcome).toBe('sharp');
  });

  test('what nothing keeps is said from when on, and the rest is laid all the same', () => {
    const both = { ...twoPeople(), beats: twoPeople().beats.map((beat, k) => ({ ...beat, fromS: 3 * k, toS: 6 + 3 * k })) };
    const laid = layLine(setStop(both, 2.2), 'fewest-holds')!;
    expect(laid.impossibleFromS).toBe(3);
    expect(checkPlan(laid.plan)).toEqual([]);
    expect(softFrames(laid.plan)).toBe(3 * 24 * 2 - 3 * 24);
    expect(layLine(newPlan(), 'fewest-holds')).toBeNull();
    expect(layLine({ ...twoPeople(), beats: [] }, 'fixed')).toBeNull();
  });
});

test('the one setting keeps as many frames as any does', () => {
  const plan = longShot();
  const laid = layLine(plan, 'fixed')!;
  expect(laid.holds).toBe(1);
  expect(laid.plan.line.moves).toEqual([]);
  const best = softFrames(laid.plan);
  for (const distanceMm of [1500, 2000, 2050, 2400, 2900, 3300, 4600, 6000, 7200, 9000, null])
    expect(softFrames({ ...plan, line: { start: { kind: 'distance', distanceMm }, moves: [] } })).toBeGreaterThanOrEqual(best);
});

test('whoever must be sharp when, a laid line can be saved, breaks no order, and is never worse than one setting by more than its changes', () => {
  const people = fc.array(
    fc.record({
      distanceMm: fc.integer({ min: 700, max: 12_000 }),
      fromS: fc.double({ min: 0, max: 9, noNaN: true }),
      lastsS: fc.double({ min: 0.2, max: 6, noNaN: true }),
      walksToMm: fc.option(fc.integer({ min: 700, max: 12_000 })),
    }),
    { minLength: 1, maxLength: 4 },
  );
  fc.assert(
    fc.property(people, fc.double({ min: 2.2, max: 16, noNaN: true }), (cast, stop) => {
      let plan = setStop(setDuration(newPlan(), 12), stop);
      cast.forEach(({ distanceMm, fromS, lastsS, walksToMm }, k) => {
        plan = addSubject(plan, { name: `Someone ${k + 1}`, distanceMm });
        if (walksToMm !== null) plan = addStay(plan, `subject-${k + 1}`, { distanceMm: walksToMm, fromS: 8 });
        const beat = { id: `beat-${k + 1}`, subjectId: `subject-${k + 1}`, fromS, toS: Math.min(fromS + lastsS, 12) };
        plan = { ...plan, beats: [...plan.beats.slice(0, k), { ...beat, requiredShare: 1, why: '' }] };
      });
      for (const way of ['fewest-holds', 'fixed'] as const) {
        const laid = layLine(plan, way);
        if (!laid) continue;
        expect(checkPlan(laid.plan)).toEqual([]);
        expect(laid.plan.line.moves).toHaveLength(laid.holds - 1);
        expect(judged(laid.plan).moves.every(({ grade }) => grade !== 'beyond')).toBe(true);
      }
    }),
    { seed: 54, numRuns: 200 },
  );
});

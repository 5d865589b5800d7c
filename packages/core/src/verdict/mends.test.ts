import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { addRack, addSubject, changeBeat, changeRack, checkPlan, newPlan, setStop, type ShotPlan } from '../pull/index';
import { evaluatePull, findMends } from './index';

/** The pull to Ines starts when she must already be sharp. */
const late = (): ShotPlan =>
  changeBeat(changeRack(twoPeople(), 'rack-1', { startS: 4.4, durationS: 1 }), 'beat-2', { fromS: 5, toS: 10 });

const sharpS = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  return verdict.status === 'judged' ? verdict.sharpFrames / verdict.captureFps : 0;
};

test('a pull that starts too late is mended by starting sooner, and by no more than it takes', () => {
  const mends = findMends(late());
  expect(mends[0]).toMatchObject({ outcome: 'sharp', stopsLost: 0 });
  expect(mends[0]!.sharpS).toBe(mends[0]!.requiredS);
  const earlier = mends.find(({ change }) => change.kind === 'earlier')!;
  if (earlier.change.kind !== 'earlier') throw new Error('of another kind');
  const { byS } = earlier.change;
  expect(earlier.sharpS).toBe(earlier.requiredS);
  // a tenth less gains less, and that much was tried
  expect(sharpS(changeRack(late(), 'rack-1', { startS: 4.4 - byS }))).toBe(earlier.sharpS);
  expect(sharpS(changeRack(late(), 'rack-1', { startS: 4.4 - byS + 0.1 }))).toBeLessThan(earlier.sharpS);
});

test('where no move is to blame a darker stop is tried, with what it costs in light', () => {
  const thin = setStop(
    {
      ...addSubject(newPlan(), { name: 'Ines', distanceMm: 3000 }),
      line: { start: { kind: 'distance', distanceMm: 3180 }, moves: [] },
    },
    2.5,
  );
  const mends = findMends(thin);
  const stop = mends.find(({ change }) => change.kind === 'stop')!;
  expect(stop.change).toMatchObject({ from: 2.5, to: 5 });
  expect(stop.stopsLost).toBeCloseTo(2, 1);
  // setting the ring anew keeps as much, and costs no light
  expect(mends[0]!.change).toEqual({ kind: 'lay-line', holds: 1 });
});

test('a hand that has no time is given some, without losing what is sharp', () => {
  const rushed = changeBeat(changeRack(twoPeople(), 'rack-1', { startS: 4.2, durationS: 0.2 }), 'beat-2', { fromS: 6 });
  const verdict = evaluatePull(rushed);
  expect(verdict.status === 'judged' && verdict.outcome).toBe('beyond-the-hand');
  const mends = findMends(rushed);
  expect(mends[0]!.outcome).toBe('sharp');
  expect(mends.map(({ change }) => change.kind)).toContain('lay-line');
});

test('what needs nothing, or can’t be judged, is offered nothing', () => {
  expect(findMends(newPlan())).toEqual([]);
  const fine = changeBeat(twoPeople(), 'beat-2', { fromS: 6 });
  const verdict = evaluatePull(fine);
  if (verdict.status === 'judged' && verdict.outcome === 'sharp') expect(findMends(fine)).toEqual([]);
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
      plan = changeRack(addRack(plan, 'mark-2', startS), 'rack-1', { durationS });
      plan = changeBeat(plan, 'beat-2', { fromS });
      const before = sharpS(plan);
      const mends = findMends(plan);
      expect(mends.length).toBeLessThanOrEqual(4);
      for (const mend of mends) {
        expect(checkPlan(mend.plan)).toEqual([]);
        expect(mend.sharpS).toBe(sharpS(mend.plan));
        expect(mend.sharpS).toBeGreaterThanOrEqual(before - 1e-9);
      }
      expect(mends.map(({ sharpS: kept }) => kept)).toEqual(mends.map(({ sharpS: kept }) => kept).sort((a, b) => b - a));
    }),
    { seed: 55, numRuns: 40 },
  );
});

import fc from 'fast-check';
import { caseCount } from '../../test/caseCount';
import { easedPeak, easedWay } from './easedWay';
import { minimumJerk } from './minimumJerk';

test('a walk of 14 s is steady between a short start and stop: its peak is 1.07 times its mean', () => {
  expect(easedPeak(14)).toBeCloseTo(14 / 13.0667, 4);
  const [at4, at5, at9] = [4, 5, 9].map((timeS) => easedWay(timeS / 14, 14));
  expect(at5! - at4!).toBeCloseTo(easedPeak(14) / 14, 9);
  expect(at9! - at4!).toBeCloseTo((5 * easedPeak(14)) / 14, 9);
  // one second after the start it is at full speed, and has gone half as far as at that speed, and a little more
  expect(easedWay(1 / 14, 14)).toBeCloseTo((easedPeak(14) / 14) * (2 / 1.875 / 2), 9);
});

test('a way of two seconds or less is one minimum-jerk move', () => {
  for (const durationS of [0.3, 1, 2]) expect(easedWay(0.3, durationS)).toBe(minimumJerk(0.3));
  expect(easedPeak(1.5)).toBe(1.875);
});

test('from nothing to all of it, the same forwards and backwards, never back, and without a jump of speed', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 60, noNaN: true }), (durationS) => {
      expect([easedWay(-1, durationS), easedWay(0, durationS), easedWay(1, durationS), easedWay(2, durationS)]).toEqual([
        0, 0, 1, 1,
      ]);
      const ways = Array.from({ length: 401 }, (_, k) => easedWay(k / 400, durationS));
      const steps = ways.slice(1).map((way, k) => way - ways[k]!);
      expect(Math.min(...steps)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...steps) * 400).toBeLessThanOrEqual(easedPeak(durationS) * (1 + 1e-9));
      expect(Math.max(...ways.map((way, k) => Math.abs(way + ways[400 - k]! - 1)))).toBeLessThan(1e-12);
      const jumps = steps.slice(1).map((step, k) => Math.abs(step - steps[k]!) * 400);
      // the speed grows for at least a second: in a step of a 400th no more than that much
      expect(Math.max(...jumps)).toBeLessThan((easedPeak(durationS) * 3 * Math.max(durationS, 2)) / 400);
    }),
    { seed: 7, numRuns: caseCount(60) },
  );
});

import { formatDistanceFigure, parseDistance } from '@still-heron/core';
import fc from 'fast-check';
import { nudgeDistance, readDistance } from './readDistance';

describe('a typed distance', () => {
  test('is held against what this place may hold, and the bound is said in its unit', () => {
    const range = { minMm: 650, maxMm: 5000, reason: 'ring' } as const;
    expect(readDistance('2.4', 'metric', range)).toEqual({ value: 2400 });
    expect(readDistance('0.5', 'metric', range)).toEqual({
      problem: { message: '“0.5” is outside the range of the ring', need: '0.650 m or more' },
    });
    expect(readDistance('inf', 'metric', range)).toEqual({
      problem: { message: '“inf” is outside the range of the ring', need: '5.00 m or less' },
    });
    expect(readDistance('1', 'imperial', range)).toEqual({
      problem: { message: '“1” is outside the range of the ring', need: '2\' 1½" or more' },
    });
  });

  test('without bounds of its own infinity is one, and what no plan may hold is not', () => {
    expect(readDistance('inf', 'metric')).toEqual({ value: Infinity });
    expect(readDistance('5mm', 'metric')).toMatchObject({ problem: { need: '0.020 m or more' } });
    expect(readDistance('soon', 'metric')).toMatchObject({ problem: { message: "“soon” can't be read as a distance" } });
  });
});

describe('a nudge', () => {
  test.each([
    [2400, 1, 'metric', '2.41'],
    [2400, -10, 'metric', '2.30'],
    [1000, -1, 'metric', '0.999'],
    [999, 1, 'metric', '1.00'],
    [2413, 1, 'imperial', '7\' 11½"'],
    [2413, -1, 'imperial', '7\' 10½"'],
  ] as const)('%d mm by %d, %s: %s', (mm, steps, units, printed) => {
    expect(formatDistanceFigure(nudgeDistance(mm, steps, units), units)).toBe(printed);
  });

  test('from infinity comes back to a distance; at a bound it stays there', () => {
    expect(nudgeDistance(Infinity, -1, 'metric')).toBeLessThan(10_000_000);
    expect(nudgeDistance(660, -10, 'metric', { minMm: 650, maxMm: 5000 })).toBe(650);
    expect(nudgeDistance(20, -1, 'metric')).toBe(20);
  });

  test('always changes what is printed, by what can be read back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 500_000, noNaN: true }),
        fc.constantFrom(-1, 1),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (mm, steps, units) => {
          const next = nudgeDistance(mm, steps, units);
          expect(formatDistanceFigure(next, units)).not.toBe(formatDistanceFigure(mm, units));
          const back = parseDistance(formatDistanceFigure(next, units), units);
          expect(back.status === 'read' && Math.abs(back.distanceMm - next) < 0.51).toBe(true);
        },
      ),
      { seed: 12, numRuns: 500 },
    );
  });
});

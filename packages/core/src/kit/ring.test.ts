import fc from 'fast-check';
import { FORMATS } from './formats';
import { lensRing } from './lensRing';
import { defaultLens, ringOf } from './lens';
import { caseCount } from '../../test/caseCount';

const table = {
  kind: 'table' as const,
  points: [
    { distanceMm: null, ringDeg: 0 },
    { distanceMm: 6000, ringDeg: 40 },
    { distanceMm: 3000, ringDeg: 95 },
    { distanceMm: 1500, ringDeg: 170 },
    { distanceMm: 700, ringDeg: 260 },
  ],
};
const helicoid = { kind: 'helicoid' as const, focalLengthMm: 65, focusThrowDeg: 280, closeFocusMm: 650 };

describe.each([
  ['by helicoid', helicoid],
  ['by scale points', table],
])('a ring %s', (_, options) => {
  const ring = lensRing(options);

  test('its ends', () => {
    expect(ring.angleAt(Infinity)).toBe(0);
    expect(ring.angleAt(ring.closeFocusMm)).toBeCloseTo(ring.throwDeg, 9);
    expect(ring.distanceAt(0)).toBe(Infinity);
    expect(ring.distanceAt(ring.throwDeg)).toBeCloseTo(ring.closeFocusMm, 6);
    expect(ring.farthestMm).toBe(Infinity);
  });

  test('angle to distance is the inverse of distance to angle, to 1e-9 relative, and both are monotone', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.701, max: 500, noNaN: true }),
        fc.double({ min: 1.001, max: 3, noNaN: true }),
        (metres, factor) => {
          const mm = metres * 1000;
          const deg = ring.angleAt(mm);
          expect(Math.abs(ring.distanceAt(deg) / mm - 1)).toBeLessThan(1e-9);
          expect(ring.angleAt(mm * factor)).toBeLessThan(deg);
        },
      ),
      { seed: 5, numRuns: caseCount(500) },
    );
  });

  test.each([
    [() => ring.angleAt(100), 'closer-than-close-focus'],
    [() => ring.angleAt(NaN), 'not-a-number'],
    [() => ring.distanceAt(-1), 'outside-ring'],
    [() => ring.distanceAt(ring.throwDeg + 1), 'outside-ring'],
    [() => ring.distanceAt(NaN), 'not-a-number'],
  ])('outside of it is refused: %#', (act, code) => expect(act).toThrow(expect.objectContaining({ code })));
});

describe('scale points', () => {
  const points = (...rows: [number | null, number][]) => ({
    kind: 'table' as const,
    points: rows.map(([distanceMm, ringDeg]) => ({ distanceMm, ringDeg })),
  });

  test('may come in any order and turn either way', () => {
    const reversed = lensRing({
      kind: 'table',
      points: table.points.map(({ distanceMm, ringDeg }) => ({ distanceMm, ringDeg: 260 - ringDeg })).reverse(),
    });
    const forward = lensRing(table);
    for (const mm of [750, 1000, 2222, 9000, 40_000]) expect(reversed.angleAt(mm)).toBeCloseTo(260 - forward.angleAt(mm), 9);
    expect(reversed.distanceAt(260)).toBe(Infinity);
  });

  test('two points make a straight line over 1/distance', () => {
    const ring = lensRing(points([2000, 0], [1000, 100]));
    expect(ring.angleAt(1 / ((1 / 2000 + 1 / 1000) / 2))).toBeCloseTo(50, 9);
    expect(() => ring.angleAt(2500)).toThrow(expect.objectContaining({ code: 'beyond-the-scale' }));
  });

  test.each([
    [points([null, 0]), 'too-few', 'points'],
    [points([null, 0], [2000, 50], [3000, 60]), 'turns-back', 'points[1]'],
    [points([null, 0], [2000, 50], [2000, 60]), 'distance-twice', 'points[2]'],
    [points([null, 10], [2000, 10]), 'turns-back', 'points[1]'],
    [points([null, 0], [-5, 50]), 'not-a-number', 'points[1].distanceMm'],
    [points([null, 0], [2000, NaN]), 'not-a-number', 'points[1].ringDeg'],
  ])('a mistyped point is named: %#', (options, code, path) => {
    expect(() => lensRing(options)).toThrow(expect.objectContaining({ code, path }));
  });

  test('an even run of points never overshoots them, even where the slope jumps', () => {
    const ring = lensRing(points([null, 0], [4000, 1], [2000, 200], [1000, 201]));
    for (let mm = 1000; mm <= 2000; mm += 50) expect(ring.angleAt(mm)).toBeGreaterThanOrEqual(200 - 1e-9);
    for (let mm = 4000; mm <= 90_000; mm += 1000) expect(ring.angleAt(mm)).toBeLessThanOrEqual(1 + 1e-9);
  });
});

test('a lens brings its own figures to its ring', () => {
  const lens = defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, closeFocusMm: 650, principalSeparationMm: 5 });
  expect(ringOf(lens).angleAt(2000)).toBeCloseTo(lensRing({ ...helicoid, principalSeparationMm: 5 }).angleAt(2000), 12);
  expect(ringOf({ ...lens, ring: table }).throwDeg).toBe(260);
});

test('every format in the library is a usable sensor with an id of its own', () => {
  expect(new Set(FORMATS.map(({ id }) => id)).size).toBe(FORMATS.length);
  for (const format of FORMATS) expect(format.sensorWidthMm).toBeGreaterThan(format.sensorHeightMm);
});

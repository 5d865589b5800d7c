import fc from 'fast-check';
import { conjugates } from '../optics/index';
import { calibrationDistances, ringDegOfArc } from './calibration';
import { fitHelicoid } from './ringFit';
import { lensRing } from './lensRing';
import { defaultLens, ringOf } from './lens';
import type { RingPoint } from './ring';
import { scaleProblems } from './scaleProblems';
import { caseCount } from '../../test/caseCount';

const lens65 = defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, closeFocusMm: 650 });

/** Points on the 65 mm helicoid, with angles off by so much. */
function scalePoints(offsets: readonly number[]): RingPoint[] {
  const ring = ringOf(lens65);
  const distances = [Infinity, 6000, 3000, 2000, 1400, 1000, 800, 650];
  return distances.map((mm, k) => ({ distanceMm: mm === Infinity ? null : mm, ringDeg: ring.angleAt(mm) + (offsets[k] ?? 0) }));
}

describe('a helicoid through scale points', () => {
  test('is found exactly where the points lie on one, counted up or down and from any angle', () => {
    const fit = fitHelicoid(scalePoints([]), 65)!;
    expect(fit.atInfinityDeg).toBeCloseTo(0, 9);
    expect(fit.degPerMm * conjugates(65, 650).extensionMm).toBeCloseTo(280, 6);
    expect(fit.points.every(({ standsOut, residualDeg }) => !standsOut && Math.abs(residualDeg) < 1e-9)).toBe(true);
    const down = fitHelicoid(
      scalePoints([]).map(({ distanceMm, ringDeg }) => ({ distanceMm, ringDeg: 300 - ringDeg })),
      65,
    )!;
    expect(down.atInfinityDeg).toBeCloseTo(300, 9);
    expect(down.degPerMm).toBeLessThan(0);
  });

  test('one mistyped point stands out, by how much, and does not bend the rest', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 7 }),
        fc.constantFrom(-40, -12, 9, 25, 90),
        fc.array(fc.double({ min: -0.4, max: 0.4, noNaN: true }), { minLength: 8, maxLength: 8 }),
        (wrong, byDeg, reading) => {
          const { points } = fitHelicoid(scalePoints(reading.map((deg, k) => deg + (k === wrong ? byDeg : 0))), 65)!;
          expect(points.filter(({ standsOut }) => standsOut).map(({ index }) => index)).toEqual([wrong]);
          expect(Math.abs(points[wrong]!.residualDeg - byDeg)).toBeLessThan(2);
        },
      ),
      { seed: 11, numRuns: caseCount(200) },
    );
  });

  test('needs two distances, leaves out what no such lens focuses to, and never accuses one of three', () => {
    expect(fitHelicoid([{ distanceMm: 2000, ringDeg: 5 }], 65)).toBeNull();
    expect(fitHelicoid([...scalePoints([]).slice(0, 2), { distanceMm: 100, ringDeg: 5 }], 65)!.points).toHaveLength(2);
    expect(fitHelicoid(scalePoints([0, 0, 80]).slice(0, 3), 65)!.points.some(({ standsOut }) => standsOut)).toBe(false);
  });
});

describe('scale points that make no ring', () => {
  const points = (...rows: [number | null, number][]): RingPoint[] =>
    rows.map(([distanceMm, ringDeg]) => ({ distanceMm, ringDeg }));

  test('the point that turns back is named, not its neighbours', () => {
    expect(scaleProblems(points([null, 0], [3000, 80], [2000, 20], [1000, 190], [650, 280]))).toEqual([
      {
        code: 'turns-back',
        path: 'points[2]',
        values: { ringDeg: 20, betweenDeg: [80, 190] },
      },
    ]);
    expect(scaleProblems(points([null, 0], [3000, 80], [650, 40]))).toMatchObject([
      { path: 'points[2]', values: { ringDeg: 40, betweenDeg: [80] } },
    ]);
  });

  test('all that is wrong is said at once', () => {
    const problems = scaleProblems(points([null, 300], [3000, NaN], [2000, 200], [2000, 190], [-4, 3], [1000, 250], [650, 20]));
    expect(problems.map(({ code, path }) => [code, path])).toEqual([
      ['not-a-number', 'points[1]'],
      ['not-a-number', 'points[4]'],
      ['distance-twice', 'points[3]'],
      ['turns-back', 'points[5]'],
    ]);
    expect(scaleProblems([])).toMatchObject([{ code: 'too-few' }]);
  });

  test('whatever has no problem makes a ring, and whatever has one does not', () => {
    const row = fc.tuple(fc.constantFrom(null, 700, 1000, 2000, 5000, 9000), fc.integer({ min: -50, max: 300 }));
    fc.assert(
      fc.property(fc.array(row, { maxLength: 7 }), (rows) => {
        const given = points(...rows);
        const make = () => lensRing({ kind: 'table', points: given });
        if (scaleProblems(given).length === 0) expect(make).not.toThrow();
        else expect(make).toThrow();
      }),
      { seed: 3, numRuns: caseCount(500) },
    );
  });
});

test('where to put the target: at distances at which people work, rounded to what is easy to tape, beyond close focus', () => {
  const metres = { fineMm: 100, coarseMm: 500 };
  expect(calibrationDistances(lens65, 4, metres)).toEqual([6000, 3500, 2000, 1100]);
  expect(calibrationDistances({ focalLengthMm: 135, closeFocusMm: 1000 }, 5, metres)).toEqual([12_000, 7500, 4500, 2500, 1600]);
  const feet = calibrationDistances(lens65, 12, { fineMm: 152.4, coarseMm: 304.8 });
  expect(feet.every((mm, k, all) => mm > 650 && (k === 0 || mm < all[k - 1]!))).toBe(true);
  expect(ringDegOfArc(Math.PI * 90, 90)).toBeCloseTo(360, 12);
});

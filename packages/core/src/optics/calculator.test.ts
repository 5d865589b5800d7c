import fc from 'fast-check';
import { blurDiameterMm } from './blurDiameter';
import { brightnessChangeStops, type Exposure, ndDensityOf, nearestIso, waysToBrighten } from './light';
import { depthOfField } from './depthOfField';
import { exposureChange } from './exposure';
import { holdBoth, stopForAllowance } from './solve';
import { zoneTable } from './zoneTable';
import { caseCount } from '../../test/caseCount';

const glass = { focalLengthMm: 50, circleOfConfusionMm: 0.025 };
const lens = fc.record({
  focalLengthMm: fc.double({ min: 10, max: 300, noNaN: true }),
  fNumber: fc.double({ min: 1, max: 22, noNaN: true }),
  circleOfConfusionMm: fc.double({ min: 0.004, max: 0.05, noNaN: true }),
  principalSeparationMm: fc.double({ min: -15, max: 30, noNaN: true }),
});
const times = fc.double({ min: 4.5, max: 2000, noNaN: true });

test('near < focus < far, and at both limits the blur is the circle, to 1e-9', () => {
  fc.assert(
    fc.property(lens, times, (given, focalLengths) => {
      const focusDistanceMm = given.focalLengthMm * focalLengths + 30;
      const zone = depthOfField({ ...given, focusDistanceMm });
      expect(zone.nearMm).toBeLessThan(focusDistanceMm);
      expect(zone.farMm).toBeGreaterThan(focusDistanceMm);
      for (const subjectDistanceMm of [zone.nearMm, zone.farMm]) {
        const blur = blurDiameterMm({ ...given, focusDistanceMm, subjectDistanceMm });
        if (subjectDistanceMm !== Infinity)
          expect(Math.abs(blur / given.circleOfConfusionMm - 1)).toBeLessThan(1e-9 * focusDistanceMm);
        else expect(blur).toBeLessThanOrEqual(given.circleOfConfusionMm * (1 + 1e-9));
      }
    }),
    { seed: 41, numRuns: caseCount(500) },
  );
});

describe('two distances held at once', () => {
  test('lie exactly on the limits of the zone, and no wider stop holds both', () => {
    fc.assert(
      fc.property(lens, times, fc.double({ min: 1.01, max: 20, noNaN: true }), (given, focalLengths, apart) => {
        const nearMm = given.focalLengthMm * focalLengths + 30;
        const farMm = nearMm * apart;
        const answer = holdBoth(given, nearMm, farMm);
        const zone = depthOfField({ ...given, ...answer });
        expect(zone.nearMm / nearMm).toBeCloseTo(1, 7);
        expect(zone.farMm / farMm).toBeCloseTo(1, 6);
        const wider = depthOfField({ ...given, ...answer, fNumber: answer.fNumber * 0.99 });
        expect(wider.nearMm > nearMm || wider.farMm < farMm).toBe(true);
      }),
      { seed: 43, numRuns: caseCount(300) },
    );
  });

  test('to infinity: focused at the hyperfocal distance, which is about twice the near one', () => {
    const answer = holdBoth(glass, 3000, Infinity);
    const zone = depthOfField({ ...glass, ...answer, fNumber: answer.fNumber * (1 + 1e-9) });
    expect(zone.farMm).toBe(Infinity);
    expect(zone.nearMm).toBeCloseTo(3000, 3);
    expect(answer.focusDistanceMm / zone.hyperfocalMm).toBeCloseTo(1, 6);
    expect(answer.focusDistanceMm).toBeGreaterThan(5800);
  });

  test('the worked example, and what can’t be held', () => {
    const { focusDistanceMm, fNumber } = holdBoth(glass, 2000, 4000);
    expect(focusDistanceMm).toBeCloseTo(2660, -1);
    expect(fNumber).toBeCloseTo(13.25, 2);
    expect(() => holdBoth(glass, 4000, 2000)).toThrow(expect.objectContaining({ code: 'not-apart', path: 'farMm' }));
    expect(() => holdBoth(glass, 100, 2000)).toThrow(expect.objectContaining({ code: 'closer-than-life-size' }));
    expect(() => holdBoth(glass, 1000, NaN)).toThrow(expect.objectContaining({ code: 'not-a-number' }));
  });
});

test('the stop for a requested miss allows it, and a wider one does not', () => {
  const fNumber = stopForAllowance(glass, 2000, 150, 100);
  const zone = depthOfField({ ...glass, fNumber, focusDistanceMm: 2000 });
  expect(zone.inFrontMm).toBeCloseTo(150, 6);
  expect(zone.behindMm).toBeGreaterThan(100);
  expect(stopForAllowance(glass, 2000, 0, 0)).toBe(0);
  expect(stopForAllowance(glass, 2000, 2000, 0)).toBe(Infinity);
  expect(
    depthOfField({ ...glass, fNumber: stopForAllowance(glass, 8000, 0, Infinity) * 1.0001, focusDistanceMm: 8000 }).farMm,
  ).toBe(Infinity);
  expect(() => stopForAllowance(glass, 2000, -1, 0)).toThrow(expect.objectContaining({ path: 'nearerMm' }));
});

test('the table has what the single zone has; where a lens can’t focus there is no figure', () => {
  const table = zoneTable({ ...glass, principalSeparationMm: 4 }, [2.8, 5.6], [150, 1000, 30_000, Infinity]);
  expect(table.nearMm.slice(0, 2)).toEqual(new Float64Array([NaN, NaN]));
  [1000, 30_000, Infinity].forEach((focusDistanceMm, k) =>
    [2.8, 5.6].forEach((fNumber, column) => {
      const zone = depthOfField({ ...glass, principalSeparationMm: 4, fNumber, focusDistanceMm });
      expect([table.nearMm[2 * (k + 1) + column], table.farMm[2 * (k + 1) + column]]).toEqual([zone.nearMm, zone.farMm]);
    }),
  );
  expect(() => zoneTable(glass, [0], [1000])).toThrow(expect.objectContaining({ path: 'fNumbers[0]' }));
});

describe('light', () => {
  test('the values of ISO are the ones on a camera’s menu, from the lowest to the highest', () => {
    const menu = [
      [25, 32, 40, 50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000, 1250, 1600, 2000, 2500],
      [3200, 4000, 5000, 6400, 8000, 10_000, 12_800, 16_000, 20_000, 25_600, 32_000, 40_000, 51_200, 102_400, 204_800],
    ].flat();
    expect(menu.map(nearestIso)).toEqual(menu);
    expect([850, 1200, 6531].map(nearestIso)).toEqual([800, 1250, 6400]);
    expect(() => nearestIso(0)).toThrow(expect.objectContaining({ path: 'iso' }));
  });

  const now: Exposure = { tStop: 2.8, iso: 800, shutterAngleDeg: 180, captureFps: 24, ndStops: 1 };

  test('each control in stops', () => {
    expect(brightnessChangeStops(now, { ...now, iso: 1600 })).toBeCloseTo(1, 12);
    expect(brightnessChangeStops(now, { ...now, shutterAngleDeg: 90 })).toBeCloseTo(-1, 12);
    expect(brightnessChangeStops(now, { ...now, captureFps: 48 })).toBeCloseTo(-1, 12);
    expect(brightnessChangeStops(now, { ...now, ndStops: 0 })).toBeCloseTo(1, 12);
    expect(brightnessChangeStops(now, { ...now, tStop: 4 })).toBeCloseTo(-exposureChange(2.8, 4).stops, 12);
    expect(() => brightnessChangeStops(now, { ...now, shutterAngleDeg: 0 })).toThrow(
      expect.objectContaining({ path: 'shutterAngleDeg' }),
    );
  });

  test('each way to win light back wins back just that', () => {
    const stops = 0.8;
    const ways = waysToBrighten(now, stops);
    expect(brightnessChangeStops(now, { ...now, iso: ways.iso })).toBeCloseTo(stops, 12);
    expect(brightnessChangeStops(now, { ...now, ndStops: ways.ndStops! })).toBeCloseTo(stops, 12);
    expect(brightnessChangeStops(now, { ...now, shutterAngleDeg: ways.shutterAngleDeg! })).toBeCloseTo(stops, 12);
    expect(brightnessChangeStops(now, { ...now, captureFps: ways.captureFps })).toBeCloseTo(stops, 12);
    expect(Math.log2(ways.lampFactor)).toBeCloseTo(stops, 12);
  });

  test('what can’t be: filters that are not there, a shutter beyond a full turn', () => {
    expect(waysToBrighten(now, 1.5)).toMatchObject({ ndStops: null, shutterAngleDeg: null });
    expect(waysToBrighten(now, -2).ndStops).toBe(3);
    expect(ndDensityOf(1)).toBeCloseTo(0.30103, 5);
  });
});

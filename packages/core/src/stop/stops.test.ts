import { twoPeople } from '../../test/plans';
import { RANDOM_PLANS } from '../../test/randomPlans';
import { defaultLens } from '../kit/index';
import { blurDiameterMm, depthOfField, type Exposure } from '../optics/index';
import {
  addLandmark,
  addOpticsChange,
  pictureWidthMm,
  planCircleMm,
  setGoals,
  setLens,
  setStop,
  type ShotPlan,
  startFloor,
  walkTo,
  zoneLensAt,
} from '../plan/index';
import { asEngraved, balanceStops, lightBalances } from './lightBalances';
import { withStop, stopsToCompare } from './withStop';
import { brighterStops, exposureAt, stopFigures } from './stopFigures';
import { howWide, type StopRate } from './howWide';
import { thingsInDepth } from './thingsInDepth';
import { separation } from './separation';

const behindAt = (plan: ShotPlan, distanceMm: number | null) =>
  setGoals(plan, { background: { name: 'furnace door', distanceMm } });

describe('the stops of a shot', () => {
  test('in thirds from end to end, and the one that is set where it lies between', () => {
    const plan = setLens(twoPeople(), { narrowestStop: 5 });
    expect(stopsToCompare(plan)).toEqual([2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5]);
    expect(stopsToCompare(setStop(plan, 3))).toEqual([2.2, 2.5, 2.8, 3, 3.2, 3.5, 4, 4.5, 5]);
  });

  test('a stop that is turned on the way is turned by as much, as far as the lens goes', () => {
    const turned = addOpticsChange(setStop(twoPeople(), 4), 'irisPulls', 2, 8);
    expect(withStop(turned, 5.6).optics).toMatchObject({ stop: 5.6, irisPulls: [{ to: 11.2 }] });
    expect(withStop(turned, 16).optics).toMatchObject({ stop: 16, irisPulls: [{ to: 22 }] });
  });

  test('each has its blur, its light, its zone and its diffraction, as the formulas have them', () => {
    const plan = behindAt({ ...twoPeople(), exposure: { ...twoPeople().exposure, meteredStop: 4 } }, 7500);
    const stops = stopsToCompare(plan);
    const figures = stopFigures(plan, stops, 1);
    expect(figures.map(({ stop }) => stop)).toEqual(stops);
    for (const { stop, backgroundPercent, brighterStops: brighter, nearMm, farMm, airyCircles, foreground } of figures) {
      const lens = zoneLensAt(setStop(plan, stop).optics, 1);
      const blurMm = blurDiameterMm({ ...lens, focusDistanceMm: 2900, subjectDistanceMm: 7500 });
      expect(backgroundPercent).toBeCloseTo((100 * blurMm) / pictureWidthMm(plan.optics), 6);
      const zone = depthOfField({ ...lens, focusDistanceMm: 2900 });
      expect([nearMm, farMm]).toEqual([expect.closeTo(zone.nearMm, 4), expect.closeTo(zone.farMm, 4)]);
      expect(brighter).toBeCloseTo(2 * Math.log2(4 / stop), 9);
      const airyMm = 2.44 * 0.000546 * lens.fNumber * (1 + zone.magnification);
      expect(airyCircles).toBeCloseTo(airyMm / planCircleMm(plan.optics), 6);
      // Ines stands in front of what is focused on
      expect(foreground).toEqual({
        name: 'Ines',
        percent: expect.closeTo(
          (100 * blurDiameterMm({ ...lens, focusDistanceMm: 2900, subjectDistanceMm: 2050 })) / pictureWidthMm(plan.optics),
          4,
        ) as number,
      });
    }
    // once the line has gone to her nobody is in front
    expect(stopFigures(plan, [4], 9)[0]!.foreground).toBeNull();
    expect(stopFigures({ ...plan, focusTrack: { start: null, pulls: [] } }, stops, 1)).toEqual([]);
    expect(brighterStops(twoPeople(), 4)).toBeNull();
  });
});

test('who and what is in the picture, by depth: what is behind the camera or outside it is not', () => {
  let plan = walkTo(startFloor(twoPeople()), 'subject-1', { xMm: 4000, yMm: 0 }, 0);
  plan = addLandmark(plan, 'post', 'gate post', { xMm: 6000, yMm: 300 });
  plan = addLandmark(plan, 'post', 'post behind', { xMm: -3000, yMm: 0 });
  plan = addLandmark(plan, 'post', 'post far aside', { xMm: 2000, yMm: 9000 });
  plan = addLandmark(plan, 'track', 'dolly track', { xMm: 2500, yMm: 0 });
  const found = thingsInDepth(plan, 0);
  expect(found.map(({ name }) => name)).toContain('gate post');
  expect(found.find(({ name }) => name === 'gate post')!.distanceMm).toBeCloseTo(6000, 0);
  for (const out of ['post behind', 'post far aside', 'dolly track']) expect(found.map(({ name }) => name)).not.toContain(out);
  const depths = found.map(({ distanceMm }) => distanceMm ?? Infinity);
  expect(depths).toEqual([...depths].sort((a, b) => a - b));
});

describe('how wide', () => {
  const chance = (stop: number, keepRate: number, backgroundPercent: number, spread = 0.02): StopRate => ({
    stop,
    keepRate,
    low: keepRate - spread,
    high: keepRate + spread,
    backgroundPercent,
  });
  const stops = [chance(2.2, 0.5, 4), chance(2.8, 0.7, 3), chance(4, 0.85, 2), chance(5.6, 0.95, 1)];

  test('the widest that keeps enough; for sure only where the takes tell it from the next', () => {
    expect(howWide(stops, 0.8, null)).toMatchObject({ answer: 'from', keeps: { stop: 4 }, isSure: true });
    expect(howWide(stops, 0.84, null)).toMatchObject({ keeps: { stop: 4 }, isSure: false });
    expect(howWide(stops, 0.71, null)).toMatchObject({ keeps: { stop: 4 }, isSure: false });
    expect(howWide(stops, 0.4, null)).toMatchObject({ answer: 'open', keeps: { stop: 2.2 } });
    expect(howWide(stops, 0.99, null)).toMatchObject({ answer: 'never', keeps: null, best: { stop: 5.6 } });
    // where what must be soft is too sharp again farther down, the widest still counts
    expect(howWide([...stops, chance(8, 0, 0.5)], 0.8, null)).toMatchObject({ keeps: { stop: 4 }, best: { stop: 5.6 } });
  });

  test('a requested background blur limits the stop on the other side, and sometimes no stop is left', () => {
    expect(howWide(stops, 0.8, 1.5)).toMatchObject({ answer: 'between', keeps: { stop: 4 }, softest: { stop: 4 } });
    expect(howWide(stops, 0.8, 0.9)).toMatchObject({ answer: 'between', softest: { stop: 5.6 } });
    expect(howWide(stops, 0.8, 2.5)).toMatchObject({ answer: 'apart', keeps: { stop: 4 }, softest: { stop: 2.8 } });
    expect(howWide(stops, 0.8, 9)).toMatchObject({ answer: 'apart', softest: null });
  });
});

describe('light made up', () => {
  const limits = { iso: { min: 50, max: 25_600 }, ndStops: { max: 20 }, angleDeg: 180 };
  const at: Exposure = { tStop: 4, iso: 800, shutterAngleDeg: 180, captureFps: 24, ndStops: 2 };

  test('every combination is exact, or with another ISO within a sixth of a stop, within what can be set, and none twice', () => {
    for (const stops of [-6, -2.4, -1, -1 / 3, 1 / 3, 1, 1.7, 4]) {
      for (const from of [at, { ...at, ndStops: 0 }, { ...at, shutterAngleDeg: 90 }]) {
        const balances = lightBalances(from, stops, limits);
        expect(balances.length).toBeGreaterThan(1);
        for (const balance of balances) {
          expect(Math.abs(balanceStops(from, balance) - stops)).toBeLessThan(1 / 6 + 0.02);
          expect(balance).not.toMatchObject({
            iso: from.iso,
            ndStops: from.ndStops,
            shutterAngleDeg: from.shutterAngleDeg,
            lampFactor: 1,
          });
          expect(balance.shutterAngleDeg).toBeLessThanOrEqual(360);
          expect(balance.ndStops).toBeGreaterThanOrEqual(0);
        }
        expect(new Set(balances.map((one) => JSON.stringify(one))).size).toBe(balances.length);
      }
    }
    expect(lightBalances(at, 1.7, limits).some((balance) => Math.abs(balanceStops(at, balance) - 1.7) < 1e-9)).toBe(true);
    expect(lightBalances(at, 0.02, limits)).toEqual([]);
    // less than a sixth of a stop: no camera has an ISO for it
    expect(lightBalances({ ...at, ndStops: 0 }, 0.1, limits).every(({ iso }) => iso === 800)).toBe(true);
  });

  test('filters come and go in whole stops first; a shutter that leaves the production’s angle is said', () => {
    expect(lightBalances(at, 4 / 3, limits)[0]).toMatchObject({ ndStops: 0, iso: 500 });
    expect(lightBalances({ ...at, ndStops: 0 }, 1, limits)[0]).toMatchObject({ ndStops: 0, iso: 1600 });
    expect(lightBalances(at, -2, limits)[0]).toMatchObject({ ndStops: 4, iso: 800, changesShutterAngle: false });
    expect(lightBalances(at, 1, limits).filter(({ changesShutterAngle }) => changesShutterAngle)).toMatchObject([
      { shutterAngleDeg: 360 },
    ]);
    // back to the production's own angle leaves nothing
    const narrow = { ...at, shutterAngleDeg: 90, ndStops: 0 };
    expect(lightBalances(narrow, 1, limits).find(({ shutterAngleDeg }) => shutterAngleDeg === 180)).toMatchObject({
      changesShutterAngle: false,
    });
    expect(lightBalances(at, 6, { ...limits, iso: { min: 50, max: 1600 } }).every(({ iso }) => iso <= 1600)).toBe(true);
  });

  test('engraved stops are meant in thirds', () => {
    expect(asEngraved(2 * Math.log2(4.5 / 3.2))).toBe(1);
    expect(asEngraved(2 * Math.log2(5.6 / 2.2))).toBeCloseTo(8 / 3, 12);
    expect(asEngraved(0.5)).toBe(0.5);
    expect(exposureAt(setLens(twoPeople(), { stopScale: 'f', transmittance: 0.81 }), 4).tStop).toBeCloseTo(4 / 0.9, 9);
  });
});

describe('separation without opening up', () => {
  const plan = behindAt(setStop(twoPeople(), 5.6), 7500);
  const now = stopFigures(plan, [5.6], 1)[0]!.backgroundPercent;

  test('each way reaches the requested blur by the formula, and says its cost in zone', () => {
    const { now: picture, ways } = separation(plan, 1, now * 1.5)!;
    expect(picture).toMatchObject({ focalLengthMm: 65, focusMm: expect.closeTo(2900, 3) as number, framing: 1 });
    expect(picture.backgroundPercent).toBeCloseTo(now, 9);
    expect(ways.map(({ kind }) => kind)).toEqual(['longer-lens', 'nearer', 'farther-background']);
    for (const { kind, focalLengthMm, focusMm, backgroundMm, backgroundPercent, framing, zoneMm, isEnough } of ways) {
      expect(isEnough).toBe(true);
      expect(backgroundPercent).toBeCloseTo(now * 1.5, 5);
      const lens = { ...zoneLensAt(plan.optics, 1), focalLengthMm };
      const blurMm = blurDiameterMm({ ...lens, focusDistanceMm: focusMm, subjectDistanceMm: backgroundMm });
      expect((100 * blurMm) / pictureWidthMm(plan.optics)).toBeCloseTo(backgroundPercent, 9);
      expect(zoneMm).toBeCloseTo(depthOfField({ ...lens, focusDistanceMm: focusMm }).totalMm, 6);
      if (kind === 'farther-background') {
        expect([focusMm, zoneMm, backgroundMm > 7500]).toEqual([picture.focusMm, picture.zoneMm, true]);
        continue;
      }
      expect(backgroundMm - focusMm).toBeCloseTo(7500 - picture.focusMm, 6);
      if (kind === 'longer-lens')
        expect([framing, focalLengthMm > 65, focusMm > 2900]).toEqual([expect.closeTo(1, 9), true, true]);
      else expect([framing > 1, zoneMm < picture.zoneMm]).toEqual([true, true]);
    }
  });

  test('at the same framing a longer lens leaves about the same zone', () => {
    const [longer] = separation(plan, 1, now * 1.5)!.ways;
    expect(longer!.zoneMm / separation(plan, 1, now)!.now.zoneMm).toBeGreaterThan(0.95);
    expect(longer!.zoneMm / separation(plan, 1, now)!.now.zoneMm).toBeLessThan(1.02);
  });

  test('nothing is said where what lies behind does not, or where there is no line', () => {
    expect(separation(behindAt(plan, 1500), 1, 1)).toBeNull();
    expect(separation({ ...plan, focusTrack: { start: null, pulls: [] } }, 1, 1)).toBeNull();
    // no background is farther than infinity
    expect(separation(plan, 1, now * 1.7)!.ways[2]).toMatchObject({ isEnough: false, backgroundMm: Infinity });
    expect(separation(plan, 1, 80)!.ways.every(({ isEnough }) => !isEnough)).toBe(true);
  });
});

test('of two hundred plans every stop has figures that are numbers, and a narrower stop is never softer behind', () => {
  for (const plan of RANDOM_PLANS.slice(0, 60)) {
    const figures = stopFigures(plan, stopsToCompare(plan), plan.durationS / 2);
    for (const [k, { backgroundPercent, airyCircles }] of figures.entries()) {
      expect(Number.isFinite(backgroundPercent) && Number.isFinite(airyCircles)).toBe(true);
      if (k > 0) expect(backgroundPercent).toBeLessThanOrEqual(figures[k - 1]!.backgroundPercent + 1e-12);
    }
  }
  expect(
    stopsToCompare({
      ...twoPeople(),
      optics: {
        ...twoPeople().optics,
        lens: defaultLens({ name: 'one stop', focalLengthMm: 65, widestStop: 3.2, narrowestStop: 3.2 }),
      },
    }),
  ).toEqual([3.2]);
});

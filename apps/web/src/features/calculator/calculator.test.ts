import { type LensSetup, cameraOf, compareSetups, depthOfField, FORMATS, defaultLens, zoneLensOf } from '@still-heron/core';
import { compareLayout } from './compareLayout';
import { depthLayout } from './depthLayout';
import { tableDistances } from './tableDistances';

const setup = (focalLengthMm: number, stop = 2.8): LensSetup => ({
  camera: cameraOf(FORMATS.find(({ id }) => id === 's35-16x9')!),
  lens: defaultLens({ name: `${focalLengthMm} mm T2.2`, focalLengthMm, widestStop: 2.2, closeFocusMm: 10 * focalLengthMm }),
  focalLengthMm,
  stop,
  sharpness: { kind: 'diagonal', divisor: 1500 },
});

describe('the depth chart', () => {
  const layout = depthLayout(setup(65), 'metric', { width: 800, height: 500 });

  test('the zone stands where the core has its limits', () => {
    const { inFrontMm, behindMm } = depthOfField({ ...zoneLensOf(setup(65)), focusDistanceMm: layout.distanceAt(layout.right) });
    const points = layout.zone.match(/-?\d+(\.\d+)?,-?\d+(\.\d+)?/g)!.map((pair) => pair.split(',').map(Number));
    const atRight = points.filter(([x]) => Math.abs(x! - layout.right) < 1e-6).map(([, y]) => y!);
    expect(Math.max(...atRight)).toBeCloseTo(layout.y(-inFrontMm), 3);
    expect(Math.min(...atRight)).toBeCloseTo(layout.y(behindMm), 3);
  });

  test('a line for each whole stop and the one that is set; labels apart; the cursor stays on the lens', () => {
    expect(layout.curves.filter(({ isHere }) => isHere).map(({ label }) => label)).toEqual(['T2.8']);
    const heights = layout.curves.map(({ labelY }) => labelY).sort((a, b) => a - b);
    heights.slice(1).forEach((y, k) => expect(y - heights[k]!).toBeGreaterThanOrEqual(17 - 1e-9));
    expect(layout.distanceAt(-100)).toBeCloseTo(650, 6);
    expect(depthLayout(setup(65), 'imperial', { width: 800, height: 500 }).yTicks.some(({ label }) => label.includes('"'))).toBe(
      true,
    );
  });
});

describe('set-ups on one scale', () => {
  const setups = [setup(32), setup(135)];
  const compared = compareSetups(setups, { held: 'framing', distanceMm: 3000, backgroundBehindMm: 5000 });
  const layout = compareLayout(compared, { width: 600, units: 'metric', backgroundBehindMm: 5000 });

  test('the subject stands under the subject, cameras as far off as they are, zones and loupes to scale', () => {
    const [wide, long] = layout.rows;
    const perMm = (layout.subjectX - wide!.cameraX) / compared[0]!.distanceMm;
    expect((layout.subjectX - long!.cameraX) / compared[1]!.distanceMm).toBeCloseTo(perMm, 9);
    expect((layout.subjectX - wide!.nearX) / compared[0]!.at!.zone.inFrontMm).toBeCloseTo(perMm, 9);
    expect((layout.subjectX - long!.loupe![0]) / compared[1]!.at!.zone.inFrontMm).toBeCloseTo(perMm * layout.loupeTimes, 9);
    expect(long!.cameraX).toBeGreaterThan(0);
  });

  test('what can’t focus there has no zone, and one that is endless no loupe', () => {
    const near = compareSetups([setup(32, 22), setup(135)], { held: 'distance', distanceMm: 1200, backgroundBehindMm: 5000 });
    const { rows } = compareLayout(near, { width: 600, units: 'imperial', backgroundBehindMm: 500_000 });
    expect(rows[1]).toMatchObject({ isReached: false, loupe: null });
    const far = compareSetups([setup(32, 22)], { held: 'distance', distanceMm: 3000, backgroundBehindMm: 5000 });
    expect(compareLayout(far, { width: 600, units: 'metric', backgroundBehindMm: 5000 }).rows[0]).toMatchObject({
      isFarBeyond: true,
      loupe: null,
    });
  });
});

test('the table’s distances begin where the lens does, grow, are round, and end at infinity', () => {
  for (const units of ['metric', 'imperial'] as const) {
    const distances = tableDistances(units, 650);
    expect(distances[0]).toBe(650);
    expect(distances[distances.length - 1]).toBe(Infinity);
    distances.slice(1).forEach((mm, k) => expect(mm).toBeGreaterThan(distances[k]!));
    expect(distances.length).toBeGreaterThan(70);
  }
  expect(tableDistances('metric', 650).slice(1, 4)).toEqual([700, 750, 800]);
});

import { cameraOf, defaultLens, depthOfField, FORMATS, lensFigures, type LensQuestion, lensRing, zoneLensOf } from '../index';

const asked: LensQuestion = {
  camera: cameraOf(FORMATS.find(({ id }) => id === 's35-16x9')!),
  sharpness: { kind: 'diagonal', divisor: 1500 },
  fromMm: 4000,
  toMm: 1000,
  atMm: 2000,
  stop: null,
};
const lens65 = defaultLens({ name: '65 mm', focalLengthMm: 65, closeFocusMm: 650, widestStop: 2.2 });

test('the turn between two distances, the shift for a degree and the room of the hand, as the ring has them', () => {
  const ring = lensRing({ kind: 'helicoid', focalLengthMm: 65, focusThrowDeg: 280, closeFocusMm: 650 });
  const figures = lensFigures(lens65, asked);
  expect(figures).toMatchObject({ throwDeg: 280, closeFocusMm: 650, stop: 2.2 });
  expect(figures.betweenDeg).toBeCloseTo(ring.angleAt(1000) - ring.angleAt(4000), 9);
  const zone = depthOfField({
    ...zoneLensOf({ ...asked, lens: lens65, focalLengthMm: 65, stop: 2.2 }),
    focusDistanceMm: 2000,
  });
  expect(figures.roomDeg).toBeCloseTo(ring.angleAt(zone.nearMm) - ring.angleAt(zone.farMm), 9);
  const at = ring.angleAt(2000);
  expect(figures.shiftPerDegMm).toBeCloseTo(ring.distanceAt(at - 0.5) - ring.distanceAt(at + 0.5), 6);
  expect(lensFigures(lens65, { ...asked, fromMm: 1000, toMm: 4000 }).betweenDeg).toBe(figures.betweenDeg);
});

test('a short throw shifts more for a degree; what the ring does not reach has no figure', () => {
  const short = { ...lens65, ring: { kind: 'helicoid' as const, focusThrowDeg: 90 } };
  const [long, quick] = [lens65, short].map((lens) => lensFigures(lens, asked));
  expect(quick!.shiftPerDegMm! / long!.shiftPerDegMm!).toBeCloseTo(280 / 90, 1);
  expect(quick!.roomDeg! / long!.roomDeg!).toBeCloseTo(90 / 280, 9);
  expect(lensFigures(lens65, { ...asked, toMm: 600 }).betweenDeg).toBeNull();
  expect(lensFigures(lens65, { ...asked, atMm: 600 })).toMatchObject({ shiftPerDegMm: null, roomDeg: null });
});

test('a lens that does not open as far is compared at its widest, and one that does at the stop asked for', () => {
  expect(lensFigures(lens65, { ...asked, stop: 1.4 }).stop).toBe(2.2);
  expect(lensFigures(lens65, { ...asked, stop: 4 }).stop).toBe(4);
  expect(lensFigures(lens65, { ...asked, stop: 4 }).roomDeg).toBeGreaterThan(lensFigures(lens65, asked).roomDeg!);
  expect(lensFigures(lens65, { ...asked, stop: 60 }).stop).toBe(22);
});

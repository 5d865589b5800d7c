import {
  addSubject,
  commonOffset,
  defaultLens,
  newPlan,
  readAndMeasured,
  readDistance,
  type RingReading,
  ringOf,
  scaleOfMarks,
  setLens,
  setReading,
  type ShotPlan,
} from '@still-heron/core';
import {
  commonOffsetText,
  noAngleSentText,
  offsetCauseText,
  readAgainstScaleText,
  readDistanceText,
  ringReadingText,
  scaleInKitText,
  scaleOfMarksText,
} from './readingText';

const photoLens = defaultLens({ name: 'Photo 50', focalLengthMm: 50, closeFocusMm: 600 });
const points = [null, 4000, 2000, 1000].map((distanceMm) => ({ distanceMm, ringDeg: distanceMm ? 280_000 / distanceMm : 0 }));
const scaled = { ...photoLens, ring: { kind: 'table' as const, points }, closeFocusMm: 1000 };
const ringDeg = (deg: number): RingReading => ({ kind: 'ring', deg });

function read(lens: typeof photoLens, marks: readonly (readonly [mm: number, deg: number])[]): ShotPlan {
  const plan = marks.reduce(
    (now, [distanceMm], index) => addSubject(now, { name: `Person ${index}`, distanceMm }),
    setLens(newPlan(), lens),
  );
  return marks.reduce((now, [, deg], index) => setReading(now, `mark-${index + 1}`, ringDeg(deg)), plan);
}

const said = (plan: ShotPlan) => scaleOfMarksText(scaleOfMarks(plan).marks, scaleOfMarks(plan).scale, false);

test.each<[RingReading, string]>([
  [ringDeg(143.26), 'ring 143.3°'],
  [{ kind: 'wheel', deg: 286 }, 'wheel 286°'],
  [{ kind: 'strip', mm: 34.5 }, '34.5 mm along the strip'],
  [{ kind: 'figures', fromMm: null, toMm: 3000, share: 0 }, 'on the figure ∞'],
  [{ kind: 'figures', fromMm: null, toMm: 3000, share: 1 }, 'on the figure 3.00 m'],
  [{ kind: 'figures', fromMm: 3000, toMm: 2000, share: 0.4 }, '4 tenths of the way from 3.00 m to 2.00 m'],
])('%j is told as %s', (reading, text) => {
  expect(ringReadingText(reading, 'metric')).toBe(text);
});

test('a distance is told with what its scale is worth', () => {
  const strip: RingReading = { kind: 'strip', mm: 30 };
  const barrel = { ...photoLens, ringDiameterMm: 64 };
  expect(readDistanceText(ringDeg(140), readDistance({ lens: scaled, wheel: null }, ringDeg(140)), 'metric')).toMatch(
    /^ring 140°: 2\.00 m by the ring’s scale, two times in three from 1\.98 m to 2\.02 m\.$/,
  );
  expect(readDistanceText(strip, readDistance({ lens: barrel, wheel: null }, strip), 'metric')).toMatch(
    /^30 mm along the strip, ring 53\.7°: \d\.\d\d m by an assumed ring\. Its scale is not known: only the turn is sure\.$/,
  );
});

test('marks that were read and measured make a scale, step by step', () => {
  expect(said(newPlan())).toBeNull();
  expect(said(read(photoLens, [[1000, 200]]))).toBe(
    'A was read and measured. One more mark with both would make the ring’s scale.',
  );
  expect(
    said(
      read(photoLens, [
        [1000, 200],
        [3000, 60],
      ]),
    ),
  ).toBe(
    'A and B were read and measured, so they would make the ring’s scale. Two readings always fit: a third would show how well.',
  );
  expect(
    said(
      read(photoLens, [
        [1000, 150],
        [2000, 60],
        [3000, 40],
      ]),
    ),
  ).toMatch(/^A, B and C were read and measured, so they would make the ring’s scale. They fit a smooth scale to [\d.]+°\.$/);
  expect(
    said(
      read(photoLens, [
        [2000, 80],
        [2000, 120],
      ]),
    ),
  ).toBe('B: two readings of the same distance are 80° and 120°. Needed: one of them read again.');
});

test('on a ring with a scale each mark says whether it agrees, and together what is off', () => {
  const off = read(
    scaled,
    [1300, 1800, 2700].map((mm) => [mm, ringOf(scaled).angleAt(mm) + 6]),
  );
  expect(readAgainstScaleText(readAndMeasured(off))).toMatch(/^A reads 6° above the ring’s scale\. B reads 6°/);
  const offset = commonOffset(off)!;
  expect(commonOffsetText(offset)).toBe('A, B and C all read about 6° above the ring’s scale.');
  expect(offsetCauseText(offset.causes[0]!)).toBe('The scale is 6° off, which leaves 0° unexplained.');
  expect(offsetCauseText({ cause: 'mount', by: -0.12, leftDeg: 0.4 })).toBe(
    'The lens sits 0.12 mm too near on its mount, which leaves 0.4° unexplained.',
  );
  expect(offsetCauseText({ cause: 'tape-zero', by: 41.2, leftDeg: 2 })).toBe(
    'The tape reads 41 mm too long, which leaves 2° unexplained.',
  );
  expect(readAgainstScaleText(readAndMeasured(read(scaled, [[2000, 140]])))).toBe('A reads as its scale says.');
  expect(readAgainstScaleText([])).toBeNull();
});

test('what came of the port and of the kit', () => {
  expect(noAngleSentText(null)).toMatch(/No wheel or motor has sent its angle yet/);
  expect(noAngleSentText({ code: 'off-the-ring', path: 'reading', values: { given: 400, unit: 'deg', min: 0, max: 280 } })).toBe(
    'The angle that was sent can’t be this ring’s: 400° is off the ring. Needed: 0° to 280°.',
  );
  expect(scaleInKitText('Photo 50', null)).toBe('Photo 50 has this scale in Kit now.');
});

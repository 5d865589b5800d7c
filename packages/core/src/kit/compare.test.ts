import fc from 'fast-check';
import { depthOfField, diagonalMm, matchFormat } from '../optics/index';
import { type LensSetup, compareSetups, distanceForWidth, fieldOf, zoneLensOf } from './compare';
import { cameraOf } from './camera';
import { FORMATS } from './formats';
import { defaultLens } from './lens';
import { caseCount } from '../../test/caseCount';

const diagonal = { kind: 'diagonal', divisor: 1500 } as const;
const format = (id: string) => cameraOf(FORMATS.find((item) => item.id === id)!);

function setup(focalLengthMm: number, stop: number, formatId = 's35-16x9'): LensSetup {
  const lens = defaultLens({ name: `${focalLengthMm}`, focalLengthMm, widestStop: 0.7, closeFocusMm: 5 * focalLengthMm });
  return { camera: format(formatId), lens, focalLengthMm, stop, sharpness: diagonal };
}

const at = (setups: readonly LensSetup[], held: 'distance' | 'framing', distanceMm = 3000) =>
  compareSetups(setups, { held, distanceMm, backgroundBehindMm: 50_000 });

test('the same lens on a smaller format, at the same distance: the thinner zone, because its circle is smaller', () => {
  const [large, small] = at([setup(50, 2.8, 'full-frame'), setup(50, 2.8, 's16')], 'distance');
  expect(small!.at!.zone.totalMm).toBeLessThan(large!.at!.zone.totalMm);
  expect(small!.at!.windowDeg).toBeLessThan(large!.at!.windowDeg);
});

test('a longer lens: thinner at the same distance, about as forgiving at the same framing', () => {
  const pair = [setup(32, 2.8), setup(135, 2.8)];
  const [wide, long] = at(pair, 'distance');
  expect(long!.at!.zone.totalMm).toBeLessThan(wide!.at!.zone.totalMm / 10);
  const [wideFramed, longFramed] = at(pair, 'framing');
  expect(longFramed!.at!.fieldWidthMm).toBeCloseTo(wideFramed!.at!.fieldWidthMm, 6);
  const ratio = longFramed!.at!.zone.totalMm / wideFramed!.at!.zone.totalMm;
  expect(ratio).toBeGreaterThan(0.8);
  expect(ratio).toBeLessThan(1.1);
  // the wider lens blurs the background less, although the subject's zone is alike
  expect(longFramed!.at!.backgroundPercent).toBeGreaterThan(2 * wideFramed!.at!.backgroundPercent);
});

test('a squeezed picture is as much wider as the squeeze, and framed from as much nearer', () => {
  const plain = setup(50, 2.8);
  const squeezed = { ...plain, lens: { ...plain.lens, squeeze: 1.5 } };
  expect(fieldOf(squeezed, 3000).widthMm).toBeCloseTo(1.5 * fieldOf(plain, 3000).widthMm, 9);
  expect(fieldOf(squeezed, 3000).heightMm).toBeCloseTo(fieldOf(plain, 3000).heightMm, 9);
  expect(at([plain, squeezed], 'framing')[1]!.distanceMm).toBeLessThan(2200);
});

test('what can’t be focused there is no figure but an absence, with how near the lens goes', () => {
  const [, close] = at(
    [setup(135, 2.8), { ...setup(135, 2.8), lens: defaultLens({ name: 'x', focalLengthMm: 135, closeFocusMm: 1500 }) }],
    'distance',
    1000,
  );
  expect(close).toEqual({ distanceMm: 1000, at: null, closeFocusMm: 1500 });
});

test('the distance for a width is the inverse of the width at a distance', () => {
  fc.assert(
    fc.property(fc.integer({ min: 12, max: 300 }), fc.double({ min: 5.1, max: 800, noNaN: true }), (focalLengthMm, times) => {
      const one = setup(focalLengthMm, 4);
      const mm = focalLengthMm * times;
      expect(distanceForWidth(one, fieldOf(one, mm).widthMm) / mm).toBeCloseTo(1, 9);
    }),
    { seed: 17, numRuns: caseCount(300) },
  );
});

/**
 * The same picture on another format: focal length and stop times the ratio k of the diagonals, from the same place. N C / f²
 * is then the same, and what is left over is that the lens itself stands f away from the image plane: in front, the zone
 * differs by about 3 |f₂ - f₁| / D. So it agrees to 1 % where the subject is at least 400 times the difference of the two focal
 * lengths away, and no farther than a quarter of the hyperfocal distance, beyond which the far limit runs away from any
 * comparison.
 */
test('a matched format leaves the zone equal at equal framing, to 1 % far from close-up', () => {
  const formats = FORMATS.map(({ id }) => format(id));
  fc.assert(
    fc.property(
      fc.constantFrom(...formats),
      fc.constantFrom(...formats),
      fc.integer({ min: 20, max: 120 }),
      fc.double({ min: 1.4, max: 8, noNaN: true }),
      fc.double({ min: 1.05, max: 4, noNaN: true }),
      (from, to, focalLengthMm, fNumber, beyond) => {
        const circle = (camera: typeof from) => diagonalMm(camera) / 1500;
        const matched = matchFormat({ focalLengthMm, fNumber }, from, to);
        const apartMm = Math.abs(matched.focalLengthMm - focalLengthMm);
        const focusDistanceMm = beyond * Math.max(400 * apartMm, 10 * focalLengthMm, 10 * matched.focalLengthMm);
        const one = depthOfField({ focalLengthMm, fNumber, circleOfConfusionMm: circle(from), focusDistanceMm });
        const other = depthOfField({ ...matched, circleOfConfusionMm: circle(to), focusDistanceMm });
        fc.pre(focusDistanceMm < one.hyperfocalMm / 4);
        expect(Math.abs(other.inFrontMm / one.inFrontMm - 1)).toBeLessThan(0.01);
        expect(Math.abs(other.behindMm / one.behindMm - 1)).toBeLessThan(0.01);
      },
    ),
    { seed: 29, numRuns: caseCount(400) },
  );
});

test('a set-up’s zone goes by its geometric stop and its own circle', () => {
  expect(zoneLensOf(setup(50, 4))).toEqual({
    focalLengthMm: 50,
    fNumber: 4 * Math.sqrt(0.85),
    circleOfConfusionMm: Math.hypot(24.9, 14) / 1500,
    principalSeparationMm: 0,
  });
});

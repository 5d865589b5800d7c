import { cameraOf, compareSetups, defaultLens, FORMATS, type LensSetup } from '@still-heron/core';
import { textOf } from '../sentence';
import { compareSentence } from './compareText';

const setup = (focalLengthMm: number, stop = 2.8): LensSetup => ({
  camera: cameraOf(FORMATS.find(({ id }) => id === 's35-16x9')!),
  lens: defaultLens({ name: `${focalLengthMm} mm T2.2`, focalLengthMm, widestStop: 2.2, closeFocusMm: 10 * focalLengthMm }),
  focalLengthMm,
  stop,
  sharpness: { kind: 'diagonal', divisor: 1500 },
});

const sentence = (held: 'framing' | 'distance', list: LensSetup[], distanceMm = 3000) =>
  textOf(compareSentence(list, compareSetups(list, { held, distanceMm, backgroundBehindMm: 5000 }), held, 'metric'));

test('it says what is held equal, whose zone is deepest, and which ring is easiest', () => {
  const setups = [setup(32), setup(135)];
  expect(sentence('framing', setups)).toMatch(
    /^At the same framing .*For the hand 32 mm at T2\.8 is easiest: \d+\.\d° of the ring against \d+\.\d°\.$/,
  );
  expect(sentence('distance', setups)).toMatch(/^At the same distance 32 mm at T2\.8 has the deepest zone: /);
});

test('alike, out of reach, and to infinity', () => {
  expect(sentence('distance', [setup(50), setup(50)])).toMatch(
    /their zones are alike, about .* deep\. For the hand they are alike/,
  );
  expect(sentence('distance', [setup(32), setup(135)], 1000)).toContain('only one of them can focus there');
  expect(sentence('distance', [setup(20, 22), setup(21, 22)])).toContain('both zones extend to infinity');
  expect(sentence('distance', [setup(20, 22), setup(50, 2.8)])).toContain('to infinity against');
});

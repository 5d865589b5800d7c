import { depthOfField } from './depthOfField';
import { imageScale } from './imageScale';

test('in focus it is the magnification, and twice as far half as large', () => {
  const lens = { focalLengthMm: 65, fNumber: 3.2, circleOfConfusionMm: 0.019 };
  for (const focusDistanceMm of [900, 2900, 8000]) {
    const { magnification } = depthOfField({ ...lens, focusDistanceMm });
    expect(imageScale({ focalLengthMm: 65, focusDistanceMm, subjectDistanceMm: focusDistanceMm })).toBeCloseTo(magnification, 12);
  }
  const at = (subjectDistanceMm: number) => imageScale({ focalLengthMm: 65, focusDistanceMm: Infinity, subjectDistanceMm });
  expect(at(65 + 2000) / at(65 + 4000)).toBeCloseTo(2, 12);
  expect(at(Infinity)).toBe(0);
  expect(at(60)).toBe(Infinity);
});

import { turnedTo } from './turnedTo';

test('the knob points where the pointer is, in steps of five degrees, or freely', () => {
  expect(turnedTo([100, 0], 0, false)).toBe(0);
  // y points down on the page
  expect(turnedTo([0, -100], 0, false)).toBe(90);
  expect(turnedTo([100, -62], 0, false)).toBe(30);
  expect(turnedTo([100, -62], 0, true)).toBeCloseTo(31.8, 1);
});

test('a thing that was turned past 180° does not jump, and one that is not pointed away from stays', () => {
  expect(turnedTo([-100, 2], 180, false)).toBe(180);
  expect(turnedTo([-100, 2], -180, false)).toBe(-180);
  expect(turnedTo([100, 0], 350, false)).toBe(360);
  expect(turnedTo([0, 0], 42, false)).toBe(42);
});

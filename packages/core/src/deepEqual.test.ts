import { isDeepEqual } from './deepEqual';

test.each<[unknown, unknown, boolean]>([
  [1, 1, true],
  [NaN, NaN, true],
  ['a', 'b', false],
  [null, {}, false],
  [{ a: 1, b: [1, { c: 2 }] }, { b: [1, { c: 2 }], a: 1 }, true],
  [{ a: 1 }, { a: 1, b: undefined }, false],
  [{ a: undefined }, { b: undefined }, false],
  [[1, 2], [2, 1], false],
  [[1], { 0: 1 }, false],
])('%j and %j: %s', (a, b, isEqual) => {
  expect(isDeepEqual(a, b)).toBe(isEqual);
  expect(isDeepEqual(b, a)).toBe(isEqual);
});

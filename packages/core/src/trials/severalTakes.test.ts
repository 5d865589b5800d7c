import { chanceOfOneKept, expectedTakesOf, takesForNineOfTenOf } from './severalTakes';

/** Set-ups by the number of takes that each keeps, of 20. */
function setups(...kept: number[]): number[] {
  const counts = new Array<number>(21).fill(0);
  for (const number of kept) counts[number]!++;
  return counts;
}

test('set-ups that are all alike: each take has the same chance', () => {
  const half = setups(10, 10, 10, 10);
  expect(chanceOfOneKept(half, 0.5, 1)).toBeCloseTo(0.5, 12);
  // of 20 takes with 10 kept, 10 · 9 of 20 · 19 pairs have none
  expect(chanceOfOneKept(half, 0.5, 2)).toBeCloseTo(1 - (10 * 9) / (20 * 19), 12);
  expect(takesForNineOfTenOf(half, 0.5)).toBe(4);
});

test('half of the tapes are off: no number of takes gives nine of ten, and none is enough on the average', () => {
  const mixed = setups(20, 0, 20, 0);
  for (const takes of [1, 5, 20, 300]) expect(chanceOfOneKept(mixed, 0.5, takes)).toBeCloseTo(0.5, 12);
  expect(takesForNineOfTenOf(mixed, 0.5)).toBe(Infinity);
  expect(expectedTakesOf(mixed, 0.5)).toBe(Infinity);
});

test('more takes never help less, also beyond those that were tried', () => {
  const some = setups(20, 12, 3, 1, 1, 0);
  const chances = Array.from({ length: 60 }, (_, takes) => chanceOfOneKept(some, 0.3, takes));
  for (let k = 1; k < chances.length; k++) expect(chances[k]).toBeGreaterThanOrEqual(chances[k - 1]! - 1e-12);
  expect(chances[0]).toBe(0);
  expect(chances.at(-1)).toBeLessThanOrEqual(1);
});

test('where every take is kept, one is enough; without a whole set-up the rate alone counts', () => {
  expect([takesForNineOfTenOf(setups(20), 1), expectedTakesOf(setups(20), 1)]).toEqual([1, 1]);
  expect(chanceOfOneKept([], 0.5, 4)).toBeCloseTo(1 - 0.5 ** 4, 12);
  expect([takesForNineOfTenOf([], 0.5), expectedTakesOf([], 0.25), takesForNineOfTenOf([], 0)]).toEqual([4, 4, Infinity]);
});

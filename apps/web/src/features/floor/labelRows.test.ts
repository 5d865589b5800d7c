import { labelRows } from './labelRows';

test('three marks within a hand of each other have their letters in three rows; one aside stays in the first', () => {
  expect(
    labelRows(
      [
        [100, 50],
        [104, 50],
        [96, 52],
        [300, 50],
      ],
      18,
    ),
  ).toEqual([0, 1, 2, 0]);
});

test('a mark without a place takes no row', () => {
  expect(labelRows([null, [10, 10], null, [12, 10]], 18)).toEqual([0, 0, 0, 1]);
});

test('a label that stands where another was moved to goes below it', () => {
  expect(
    labelRows(
      [
        [100, 50],
        [100, 50],
        [100, 66],
      ],
      18,
    ),
  ).toEqual([0, 1, 1]);
});

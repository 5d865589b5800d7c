import type { SplitObstacle } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { halfSlates, halvesTakesText, halvesText, splitObstacleText } from './splitText';

test('what is in the way of a cut is a sentence', () => {
  const kinds = ['pull', 'iris', 'zoom', 'camera', 'course'] as const;
  const obstacles: readonly SplitObstacle[] = [{ kind: 'too-short', minS: 0.5 }, ...kinds.map((kind) => ({ kind }))];
  for (const obstacle of obstacles) expect(splitObstacleText(obstacle, twoPeople())).toMatch(/^[A-Z].*\.$/);
  expect(splitObstacleText({ kind: 'walk', subjectId: 'subject-2' }, twoPeople())).toBe('Ines walks then.');
});

test('halves: their keep rates, takes and slates', () => {
  expect(halvesText(0.923, 0.88)).toBe('92 and 88 of 100 takes kept');
  expect(halvesTakesText([2, 3], 9)).toBe('2 + 3 takes instead of 9');
  expect(halvesTakesText([1, null], null)).toBe('no number of takes is enough for the second half');
  expect(halvesTakesText([null, 2], 9)).toBe('no number of takes is enough for the first half');
  expect(halvesTakesText([null, null], null)).toBe('no number of takes is enough for either half');
  expect(halvesTakesText([1, 2], null)).toBe('1 + 2 takes; for the whole shot no number is enough');
  expect(halfSlates('9C')).toEqual(['9C-A', '9C-B']);
  expect(halfSlates('a slate of 12').map(({ length }) => length)).toEqual([12, 12]);
});

import { runsOf } from '../src/takes/report/type';

test.each([
  ['Ines', [['latin', 'Ines']]],
  ['', []],
  [
    'Łucja and Ines',
    [
      ['latin-ext', 'Ł'],
      ['latin', 'ucja and Ines'],
    ],
  ],
  [
    'čekání',
    [
      ['latin-ext', 'č'],
      ['latin', 'ekání'],
    ],
  ],
])('%j is set in typefaces that have its letters', (text, expected) => {
  const runs = runsOf(text);
  expect(runs.map(({ subset, text: letters }) => [subset, letters])).toEqual(expected);
  expect(runs.map(({ text: letters }) => letters).join('')).toBe(text);
});

import { readFileSync } from 'node:fs';
import { create } from 'fontkit';
import { runsOf, TYPEFACES } from '../src/takes/report/type';

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
  [
    'Мария, Ωμέγα',
    [
      ['cyrillic', 'Мария'],
      ['latin', ', '],
      ['greek', 'Ωμέγα'],
    ],
  ],
])('%j is set in typefaces that have its letters', (text, expected) => {
  const runs = runsOf(text);
  expect(runs.map(({ subset, text: letters }) => [subset, letters])).toEqual(expected);
  expect(runs.map(({ text: letters }) => letters).join('')).toBe(text);
});

test('names in Latin, Cyrillic and Greek letters have all their letters, in both weights', () => {
  const names = [
    'Łucja Dvořáková',
    'Şebnem Ğ',
    'Мария Ёлкина, Їжак, Ґава',
    'Қайрат Өмір',
    'Ωμέγα Πέτρου ΐΰ',
    'ἄνθρωπος ᾧ',
    '“„…–—№ €',
  ];
  const missing = names.flatMap((name) =>
    runsOf(name).flatMap(({ text, subset }) =>
      TYPEFACES.filter((one) => one.subset === subset).flatMap(({ file, weight }) => {
        const font = create(readFileSync(file));
        return [...text]
          .filter((letter) => !font.hasGlyphForCodePoint(letter.codePointAt(0)!))
          .map((letter) => `${letter} ${weight}`);
      }),
    ),
  );
  expect(missing).toEqual([]);
});

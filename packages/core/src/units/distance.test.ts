import fc from 'fast-check';
import { displayStepMm, formatDistance, formatDistanceFigure, formatFineDistance, formatGap } from './formatDistance';
import { parseDistance } from './distance';
import type { UnitSystem } from './unitSystem';

const read = (text: string, unit: UnitSystem = 'metric') => {
  const parsed = parseDistance(text, unit);
  return parsed.status === 'read' ? parsed.distanceMm : parsed.problem.code;
};

describe('a distance as people say it', () => {
  test.each<[string, number]>([
    ['2.4', 2400],
    ['2,4', 2400],
    ['.9', 900],
    ['2.4m', 2400],
    ['2.4 M', 2400],
    ['2m40', 2400],
    ['2m05', 2050],
    ['240cm', 2400],
    ['2400 mm', 2400],
    ["7'11", 2413],
    ['7\'11"', 2413],
    ['7′ 11″', 2413],
    ['7ft 11 1/2', 2425.7],
    ['7ft 11½', 2425.7],
    ['7 feet 11 1/2 inches', 2425.7],
    ['7-11 1/4', 2419.35],
    ["7'", 2133.6],
    ['7.5ft', 2286],
    ['95in', 2413],
    ['95 1/2"', 2425.7],
    ['½"', 12.7],
    ['inf', Infinity],
    ['∞', Infinity],
    ['Infinity', Infinity],
  ])('%s', (text, mm) => expect(read(text)).toBeCloseTo(mm, 9));

  test('a bare number is in the production’s unit', () => {
    expect(read('2.4', 'metric')).toBe(2400);
    expect(read('8', 'imperial')).toBeCloseTo(2438.4, 9);
  });

  test.each<[string, string]>([
    ['', 'empty'],
    ['   ', 'empty'],
    ['near', 'unreadable'],
    ['2.4.5', 'unreadable'],
    ['-2', 'unreadable'],
    ['NaN', 'unreadable'],
    ['1e3', 'unreadable'],
    ['2.4 km', 'unreadable'],
    ['1/0in', 'unreadable'],
    ['0/0in', 'unreadable'],
    ['0', 'zero'],
    ["0'0", 'zero'],
    ["7'12", 'twelve-inches'],
    ["7'11 9/8", 'twelve-inches'],
    ['99999', 'several-readings'],
    ['99999 m', 'too-far'],
    ['2m4', 'several-readings'],
    ['7-11', 'several-readings'],
  ])('%j is refused: %s', (text, code) => expect(read(text)).toBe(code));

  test('a refusal says what would do, in the unit of the production first', () => {
    const parsed = parseDistance('ne', 'metric');
    expect(parsed).toMatchObject({
      status: 'unread',
      problem: { code: 'unreadable', values: { text: 'ne', what: 'distance', units: 'metric' } },
    });
    expect(parseDistance('ne', 'imperial')).toMatchObject({ problem: { values: { units: 'imperial' } } });
  });
});

describe('a distance in print', () => {
  test.each<[number, UnitSystem, string]>([
    [2400, 'metric', '2.40 m'],
    [455, 'metric', '0.455 m'],
    [999.6, 'metric', '1.00 m'],
    [99_996, 'metric', '100.0 m'],
    [123_456, 'metric', '123.5 m'],
    [Infinity, 'metric', '∞'],
    [2413, 'imperial', '7\' 11"'],
    [2425.7, 'imperial', '7\' 11½"'],
    [1219.2, 'imperial', '4\' 0"'],
    [1225.55, 'imperial', '4\' ¼"'],
    [304.8 * 25 + 13, 'imperial', '25\' 1"'],
    [203.2, 'imperial', '8"'],
    [Infinity, 'imperial', '∞'],
  ])('%d mm, %s: %s', (mm, units, text) => expect(formatDistance(mm, units)).toBe(text));

  test('what is printed is read back to the display step, in both unit systems', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 5_000_000, noNaN: true }),
        fc.constantFrom<UnitSystem>('metric', 'imperial'),
        (mm, units) => {
          const printed = formatDistance(mm, units);
          const back = parseDistance(printed, units);
          if (back.status !== 'read') throw new Error(`${printed} was not read`);
          expect(Math.abs(back.distanceMm - mm)).toBeLessThanOrEqual(displayStepMm(mm, units) / 2 + 1e-6);
          expect(formatDistance(back.distanceMm, units)).toBe(printed);
          expect(parseDistance(formatDistanceFigure(mm, units), units)).toEqual(back);
        },
      ),
      { seed: 4870, numRuns: 2000 },
    );
  });

  test.each<[number, UnitSystem, string]>([
    [0.4, 'metric', '0.4 mm'],
    [-4.2, 'metric', '4 mm'],
    [43, 'metric', '4.3 cm'],
    [70, 'metric', '7.0 cm'],
    [140, 'metric', '14 cm'],
    [1204, 'metric', '1.20 m'],
    [Infinity, 'metric', 'without limit'],
    [139.7, 'imperial', '5½"'],
    [355.6, 'imperial', '1\' 2"'],
    [2.54, 'imperial', '0.10"'],
  ])('a difference of %d mm, %s: %s', (mm, units, text) => expect(formatGap(mm, units)).toBe(text));
});

test('close up, finer than the tape is read', () => {
  expect([1448.6, Infinity].map((mm) => formatFineDistance(mm, 'metric'))).toEqual(['1.4486 m', '∞']);
  expect([1448.6, 100].map((mm) => formatFineDistance(mm, 'imperial'))).toEqual(['4\' 9.03"', '3.94"']);
});

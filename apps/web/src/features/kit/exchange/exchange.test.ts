import { type KitLens, lensTable, defaultLens, readLensTable, wheelTable } from '@still-heron/core';
import { parseCsv, printCsv } from '../../../shared/files/csv';
import { readKitFile } from './readKitFile';

const kitLens: KitLens = {
  lens: defaultLens({ name: 'Quoted "65", tall; one', focalLengthMm: 65, closeFocusMm: 650 }),
  isHired: true,
  holdTestedOn: '',
  holdTestedBy: '',
  notes: 'two\nlines',
};

test('cells are parted by the surest sign of the first line: a comma may be a decimal one', () => {
  expect(parseCsv('a\tb,c\n1\t2,5')).toEqual([
    ['a', 'b,c'],
    ['1', '2,5'],
  ]);
  expect(parseCsv('\uFEFFa;b\n2,4;95')[1]).toEqual(['2,4', '95']);
  expect(parseCsv('a|b\n1|2')[1]).toEqual(['1', '2']);
  expect(parseCsv('a,b\n"1,5",2')[1]).toEqual(['1,5', '2']);
  expect(parseCsv('')).toEqual([]);
});

test('a table that was written is read back, whatever is in its names', () => {
  expect(readLensTable(parseCsv(printCsv(lensTable([kitLens]))))).toEqual({ status: 'read', items: [kitLens] });
});

describe('a file of kit is told by its content', () => {
  test('a whole kit, lenses, or wheels', () => {
    expect(readKitFile('{"format":"still-heron-kit","schema":1,"lenses":[]}')).toMatchObject({
      status: 'read',
      file: { wheels: [] },
    });
    expect(readKitFile(printCsv(lensTable([kitLens])))).toMatchObject({ status: 'read', file: { lenses: [kitLens], rigs: [] } });
    const wheel = {
      name: 'W',
      kind: 'wheel',
      wheelPerRing: 2,
      turns: 'same',
      discDiameterMm: 80,
      hasEndStops: false,
      comfortableDeg: 150,
      fastestDegPerS: null,
      notes: '',
    } as const;
    expect(readKitFile(printCsv(wheelTable([wheel])))).toMatchObject({ status: 'read', file: { wheels: [wheel], lenses: [] } });
  });

  test.each([
    ['{"format":"other"}', 'wrong-file'],
    ['{"format"', 'unreadable'],
    ['[]', 'wrong-file'],
    ['hello', 'unknown-heading'],
    ['', 'empty'],
  ])('%j is refused: %s', (text, code) => {
    const reading = readKitFile(text);
    expect(reading.status === 'unread' && reading.problems[0]!.code).toBe(code);
  });
});

import fc from 'fast-check';
import { parseCsv, printCsv } from './csv';

test.each(['=1+1', '+SUM(A1)', '-2+3', '@now', '\tx', '=HYPERLINK("http://elsewhere.example")'])(
  'a spreadsheet does not compute %j, and it is read back as it was',
  (cell) => {
    const text = printCsv([['note'], [cell]]);
    expect(text.split('\r\n')[1]!.replace(/^"/, '')).toMatch(/^'/);
    expect(parseCsv(text)[1]).toEqual([cell]);
  },
);

test('numbers with a sign stay numbers, and apostrophes stay apostrophes', () => {
  const row = ['-2.5', '+12', '-.5', "'tis", "'=1", "''=1", ''];
  const text = printCsv([row.map((_, k) => `column ${k}`), row]);
  expect(text).toContain('-2.5,+12,-.5,');
  expect(parseCsv(text)[1]).toEqual(row);
});

test('whatever is in the cells, they come back', () => {
  const cells = fc.string({ unit: fc.constantFrom(...`'=+-@"\t,;| a1\n`), maxLength: 6 });
  fc.assert(
    fc.property(fc.array(fc.tuple(cells, cells), { minLength: 1, maxLength: 4 }), (rows) => {
      // the separator is told by the headings
      expect(parseCsv(printCsv([['a', 'b'], ...rows])).slice(1, rows.length + 1)).toEqual(rows);
    }),
    { seed: 3, numRuns: 300 },
  );
});

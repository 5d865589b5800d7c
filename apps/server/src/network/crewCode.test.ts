import { isSameCode, newCrewCode } from './crewCode';

test('a code has two groups of four characters that nobody confuses, and is never the same', () => {
  const codes = Array.from({ length: 500 }, newCrewCode);
  for (const code of codes) expect(code).toMatch(/^[2-9A-HJKMNP-TV-Z]{4}-[2-9A-HJKMNP-TV-Z]{4}$/);
  expect(new Set(codes).size).toBe(codes.length);
});

test.each([
  ['K7QM-3RXD', true],
  ['k7qm3rxd', true],
  [' k7qm – 3rxd '.replace('–', '-'), true],
  ['K7QM-3RXE', false],
  ['K7QM-3RX', false],
  ['K7QM-3RXDD', false],
  ['', false],
  ['Ｋ7QM-3RXD', false],
])('typed as “%s”', (typed, isSame) => expect(isSameCode(typed, 'K7QM-3RXD')).toBe(isSame));

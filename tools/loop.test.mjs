import { readFileSync } from 'node:fs';
import { BYTES, loopFile } from './loop.mjs';

test('the compiled trial loop is that of its source', () => {
  expect(readFileSync(BYTES, 'utf8')).toBe(loopFile());
});

import { readFileSync } from 'node:fs';
import { BYTES, loopFile } from './loop.mjs';

test('the compiled loop of takes is that of its source', () => {
  expect(readFileSync(BYTES, 'utf8')).toBe(loopFile());
});

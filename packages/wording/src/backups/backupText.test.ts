import { ageText, backupSentence, sizeText } from './backupText';
import { textOf } from '../sentence';

const MINUTE = 60_000;

test.each([
  [20_000, 'a moment'],
  [MINUTE, '1 minute'],
  [59 * MINUTE, '59 minutes'],
  [60 * MINUTE, '1 hour'],
  [47.9 * 60 * MINUTE, '47 hours'],
  [48 * 60 * MINUTE, '2 days'],
])('an age of %d ms is %s', (ms, text) => expect(ageText(ms)).toBe(text));

test.each([
  [900, '900 B'],
  [8822, '8.8 kB'],
  [12_400_000, '12 MB'],
  [78e9, '78 GB'],
])('%d bytes are %s', (bytes, text) => expect(sizeText(bytes)).toBe(text));

test('the sentence says how old the newest backup is, what it holds, and what failed', () => {
  const newest = { name: 'a', madeAtMs: 0, productions: 1, shots: 7, takes: 3 };
  const text = (...given: Parameters<typeof backupSentence>) => textOf(backupSentence(...given));
  expect(text(newest, null, 12 * MINUTE)).toBe(
    'The newest backup was made 12 minutes ago. It holds 1 production, 7 shots, 3 takes.',
  );
  expect(text(null, null, 0)).toBe('There is no backup yet.');
  expect(text(newest, 'the disk is full', MINUTE)).toMatch(/^The last backup failed: the disk is full\. The newest backup/);
  expect(backupSentence(newest, 'the disk is full', MINUTE)[0]!.tone).toBe('soft');
});

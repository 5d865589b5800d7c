import { ageText, backupSentence, restoredSentence, sizeText, whenText } from './backupText';
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
  const newest = { name: 'a', madeAt: new Date(0).toISOString(), productions: 1, shots: 7, takes: 3 };
  const text = (...given: Parameters<typeof backupSentence>) => textOf(backupSentence(...given));
  expect(text(newest, null, 12 * MINUTE)).toBe(
    'The newest backup was made 12 minutes ago. It holds 1 production, 7 shots, 3 takes.',
  );
  expect(text(null, null, 0)).toBe('There is no backup yet.');
  expect(text(newest, 'the disk is full', MINUTE)).toMatch(/^The last backup failed: the disk is full\. The newest backup/);
  expect(backupSentence(newest, 'the disk is full', MINUTE)[0]!.tone).toBe('soft');
});

test.each([
  [new Date(2026, 10, 28, 16, 43), 'today at 16:43'],
  [new Date(2026, 10, 27, 23, 59), 'yesterday at 23:59'],
  [new Date(2026, 10, 12, 8, 0), 'on 12 November at 08:00'],
])('%s is told as one says it', (moment, text) =>
  expect(whenText(moment.toISOString(), new Date(2026, 10, 28, 18, 0).getTime())).toBe(text),
);

test('after a restoration it is told what is there now', () => {
  const now = new Date(2026, 10, 28, 18, 0).getTime();
  const backup = { name: 'a', madeAt: new Date(2026, 10, 28, 16, 43).toISOString(), productions: 1, shots: 7, takes: 0 };
  expect(restoredSentence(backup, now)).toBe('Everything is as it was today at 16:43: 1 production, 7 shots, no takes.');
});

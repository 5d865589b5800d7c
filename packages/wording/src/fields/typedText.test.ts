import { typeSentence } from '../problems/problemText';
import { distanceRefusal, numbersRefusal, pictureRefusal, timeRefusal } from './typedText';

test('a distance outside its field names the reason and the limit, in the units of the production', () => {
  expect(typeSentence(distanceRefusal('0.5', 'close-focus', { minMm: 650 }, 'metric'))).toBe(
    '“0.5” is closer than the lens can focus. Type 0.650 m or more.',
  );
  expect(distanceRefusal('1', 'ring', { minMm: 650 }, 'imperial').need).toBe('2\' 1½" or more');
  expect(distanceRefusal('9', 'ring', { maxMm: Infinity }, 'metric').need).toBe('infinity or less');
});

test('a time outside its field names the reason and both limits', () => {
  const print = (timeS: number) => timeS.toFixed(1);
  expect(typeSentence(timeRefusal(9, { minS: 1, maxS: 8, reason: 'next-pull' }, print))).toBe(
    '9.0 s is out of range: the next pull, or the end of the shot, comes there. Type 1.0 to 8.0 s.',
  );
  expect(timeRefusal(9, { minS: 1, maxS: 8 }, print).message).toBe('9.0 s is out of range');
});

test('several numbers: the wrong one is named, or their number', () => {
  const limits = { min: 1, max: 1000, maxCount: 2 };
  expect(numbersRefusal({ text: '0' }, limits)).toEqual({
    message: '“0” is out of range',
    need: 'numbers from 1 to 1000 with spaces between them, at most 2',
  });
  expect(numbersRefusal({ count: 3 }, limits).message).toBe('3 numbers are too many');
});

test('a picture that is not uploaded says why', () => {
  expect(pictureRefusal('a.txt', { kind: 'not-a-picture' }).message).toBe('“a.txt” is not a picture that can be used here');
  expect(pictureRefusal('a.png', { kind: 'too-large', megabytes: 12.4, maxMegabytes: 8 })).toEqual({
    message: '“a.png” has 12 MB',
    need: 'a picture of at most 8 MB: save it smaller, or as a JPEG',
  });
  expect(pictureRefusal('a.png', { kind: 'unreachable' }).need).toContain('the server running');
  expect(pictureRefusal('a.svg', { kind: 'rejected', by: { message: 'no', need: 'yes' } })).toEqual({
    message: '“a.svg” was not accepted: no',
    need: 'yes',
  });
});

import fc from 'fast-check';
import { formatStop, parseStop, stopScale } from './stops';
import { formatTime, frameAtOrAfter, frameCount, parseTime } from './time';

describe('stops', () => {
  test('the scale keeps both ends of the lens, engraved or not', () => {
    expect(stopScale(2.2, 4)).toEqual([2.2, 2.5, 2.8, 3.2, 3.5, 4]);
    expect(stopScale(1.3, 2)).toEqual([1.3, 1.4, 1.6, 1.8, 2]);
    expect(stopScale(2.8, 2.8)).toEqual([2.8]);
  });

  test('neighbours on the engraved scale are a third of a stop apart, as near as engraving rounds', () => {
    const scale = stopScale(1, 45);
    for (let k = 1; k < scale.length; k++) {
      const stops = 2 * Math.log2(scale[k]! / scale[k - 1]!);
      expect(stops).toBeGreaterThan(0.2);
      expect(stops).toBeLessThan(0.5);
    }
  });

  test.each(['3.2', 'T3.2', 't 3,2', 'f/3.2', 'f3.2'])('%s is read', (text) => {
    expect(parseStop(text, { widest: 2.2, narrowest: 22 })).toEqual({ status: 'read', stop: 3.2 });
  });

  test.each<[string, string, object]>([
    ['1.4', 'outside-lens', { given: 1.4, min: 2.2, max: 22 }],
    ['32', 'outside-lens', { given: 32, min: 2.2, max: 22 }],
    ['', 'empty', { what: 'stop' }],
    ['open', 'unreadable', { text: 'open', what: 'stop' }],
    ['0', 'outside-lens', { given: 0, min: 2.2, max: 22 }],
  ])('%j is refused: %s', (text, code, values) => {
    expect(parseStop(text, { widest: 2.2, narrowest: 22 })).toMatchObject({ problem: { code, values } });
  });

  test('print', () => {
    expect(formatStop(2.8, 'T')).toBe('T2.8');
    expect(formatStop(4, 'f')).toBe('f/4');
    expect(formatStop(22, 'T')).toBe('T22');
  });
});

describe('times', () => {
  test.each<[string, number]>([
    ['3.2', 3.2],
    ['3,2 s', 3.2],
    ['.5', 0.5],
    ['1:02.5', 62.5],
    ['60f', 2.5],
    ['1 frame', 1 / 24],
  ])('%s', (text, timeS) => expect(parseTime(text, 24)).toEqual({ status: 'read', timeS }));

  test.each(['', 'soon', '-1', '1:75', 'NaN'])('%j is refused', (text) => {
    expect(parseTime(text, 24)).toMatchObject({ status: 'unread', problem: { values: { what: 'time' } } });
  });

  test('print', () => {
    expect(formatTime(6.249)).toBe('6.2 s');
    expect(formatTime(59.96)).toBe('1:00.0');
    expect(formatTime(62.5)).toBe('1:02.5');
  });

  test('a span covers the frames at or after its start and before its end', () => {
    expect(frameAtOrAfter(2.5, 24)).toBe(60);
    expect(frameAtOrAfter(2.5 + 1e-4, 24)).toBe(61);
    expect(frameAtOrAfter(0, 24)).toBe(0);
    fc.assert(
      fc.property(
        fc.nat(100_000),
        fc.constantFrom(23.976, 24, 25, 29.97, 50, 120),
        (frame, fps) => frameAtOrAfter(frame / fps, fps) === frame,
      ),
    );
    expect(frameCount(10, 23.976)).toBe(240);
    expect(frameCount(0.001, 24)).toBe(1);
  });
});

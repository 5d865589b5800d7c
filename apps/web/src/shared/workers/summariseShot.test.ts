import { addPull, addSubject, changePull, newPlan, setDuration } from '@still-heron/core';
import { summarise } from './summariseShot';

const two = addSubject(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), { name: 'Ines', distanceMm: 2050 });

test('a plan without a distance is open', () => {
  expect(summarise(newPlan(), 'metric')).toMatchObject({ outcome: 'incomplete', sketch: [], softSpans: [] });
});

test('the sketch goes from the one hold to the other, and soft spans lie where they are', () => {
  const late = changePull(addPull(two, 'mark-2', 4), 'pull-1', { startS: 7, durationS: 1 });
  const { outcome, sketch, softSpans, parts } = summarise(late, 'metric');
  expect(outcome).toBe('soft');
  expect(sketch[0]).toBeLessThan(sketch[sketch.length - 1]!);
  for (let k = 1; k < sketch.length; k++) expect(sketch[k]!).toBeGreaterThanOrEqual(sketch[k - 1]!);
  for (const turn of sketch) expect(turn >= 0 && turn <= 1).toBe(true);
  expect(softSpans[0]!.from).toBeLessThan(0.75);
  expect(softSpans[0]!.to).toBeGreaterThan(0.7);
  expect(parts.map(({ text }) => text).join(' ')).toContain('Ines');
});

test('a shot of a few frames is sketched too', () => {
  const { sketch } = summarise({ ...setDuration(two, 0.5), captureFps: 1 }, 'imperial');
  expect(sketch.every(Number.isFinite)).toBe(true);
});

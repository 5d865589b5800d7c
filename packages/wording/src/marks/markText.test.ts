import { changeMark, defaultLens, defaultWheel, formatGap, markReading, presetRig, type ShotPlan } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { faceText } from '../calculator/zoneSentence';
import { beyondRingText, disagreementText, leanText, markOnRingText, thirdStopText } from './markText';

/** 65 mm whose scale was read at infinity, 3 m, 2 m and 0.65 m; Old Tam stands at 2.90 m. */
function withScale(changes: Partial<ShotPlan> = {}): ShotPlan {
  const points = [null, 3000, 2000, 650].map((distanceMm, index) => ({ distanceMm, ringDeg: [0, 55, 85, 280][index]! }));
  const plan = twoPeople();
  const lens = { ...defaultLens({ name: '65', focalLengthMm: 65 }), ring: { kind: 'table' as const, points } };
  return { ...plan, optics: { ...plan.optics, focalLengthMm: 65, lens }, ...changes };
}

test('a mark lies between two figures of the scale, or on one', () => {
  const plan = withScale();
  const [tam] = plan.marks;
  expect(markOnRingText(markReading(plan, tam!), plan, 'metric')).toMatch(
    /^ring at \d+\.\d°, between the figures 2\.00 m and 3\.00 m$/,
  );
  const onFigure = changeMark(plan, tam!.id, { distanceMm: 2000 });
  expect(markOnRingText(markReading(onFigure, onFigure.marks[0]!), onFigure, 'metric')).toMatch(
    /^ring at 85\.0°, on the figure 2\.00 m$/,
  );
});

test('with a wheel its angle is added; without scale points the text says so', () => {
  const wheel = defaultWheel({ name: 'W', wheelPerRing: 1.6 });
  const plan = withScale({ wheel });
  expect(markOnRingText(markReading(plan, plan.marks[0]!), plan, 'metric')).toMatch(/, wheel at \d+\.\d°, between/);
  const helicoid = twoPeople();
  expect(markOnRingText(markReading(helicoid, helicoid.marks[0]!), helicoid, 'metric')).toMatch(
    /; this ring has no scale points$/,
  );
});

test('a ring that answers to speed has no place', () => {
  const plan = twoPeople();
  const fast: ShotPlan = { ...plan, optics: { ...plan.optics, lens: { ...plan.optics.lens, response: 'speed' } } };
  expect(markOnRingText(markReading(fast, fast.marks[0]!), fast, 'metric')).toContain('no place on it can be marked');
});

test('a mark nearer than the lens focuses names the nearest distance', () => {
  const plan = twoPeople();
  const near = changeMark(plan, plan.marks[0]!.id, { distanceMm: 300 });
  expect(beyondRingText(markReading(near, near.marks[0]!), near, 'metric')).toMatch(/^closer than the lens can focus: 0\.\d+ m$/);
  expect(beyondRingText(markReading(plan, plan.marks[0]!), plan, 'metric')).toBeNull();
});

test('an operator who carries the camera may lean from the tape’s 2.90 m to either limit; nobody leans with legs under it', () => {
  const plan = { ...twoPeople(), rig: presetRig('on the shoulder', 'shoulder', 'alone') };
  const mark = plan.marks[0]!;
  const reading = markReading(plan, mark);
  const [lean, back] = [2900 - reading.nearMm, reading.farMm - 2900].map((mm) => formatGap(mm, 'metric'));
  expect(leanText(reading, plan, 'metric')).toBe(
    `With the ring left alone, it stays sharp if the operator leans in up to ${lean} or back up to ${back}. If the subject drifts, lean the same way.`,
  );
  expect(leanText(reading, { ...plan, rig: presetRig('sticks', 'legs', 'alone') }, 'metric')).toBeNull();
  expect(leanText(reading, twoPeople(), 'metric')).toBeNull();
  const far = changeMark(plan, mark.id, { distanceMm: Infinity });
  expect(leanText(markReading(far, far.marks[0]!), far, 'metric')).toContain('back any distance');
});

test('a third hard stop is refused with the marks that have the two', () => {
  const { marks } = twoPeople();
  expect(thirdStopText({ marks: marks.map((mark) => ({ ...mark, hasHardStop: true })) })).toBe(
    'A wheel has two hard stops, and both are set: A and B. Remove one of them first.',
  );
});

test.each([
  [0.4, 'If the drawing is right, 0.4 s more are soft: tape again.'],
  [-1.2, 'If the drawing is right, 1.2 s more are sharp: tape again.'],
  [0.01, 'If the drawing is right, the shot is equally sharp.'],
])('%p s between tape and drawing', (losesS, text) => expect(disagreementText(losesS)).toBe(text));

test.each([
  [true, true, 'nose, eye and ear are sharp'],
  [true, false, 'nose and eye are sharp, the ear is soft'],
  [false, true, 'eye and ear are sharp, the nose is soft'],
  [false, false, 'only the eye is sharp: nose and ear are soft'],
])('a face with nose %p and ear %p', (nose, ear, text) => expect(faceText(nose, ear)).toBe(text));

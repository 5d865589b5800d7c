import { newPlan, checkPlan, parseDistance, parseStop, parseTime, type Problem, problem, readScale } from '@still-heron/core';
import { neededSentence, problemText, problemView, typeSentence } from './problemText';

const at = (found: Problem) => neededSentence(problemText(found));

test.each<[Problem, string]>([
  [
    problem('several-readings', 'distance', {
      text: '1,500ft',
      readings: [
        { mm: 457.2, units: 'imperial' },
        { mm: 457_200, units: 'imperial' },
      ],
    }),
    `“1,500ft” can be 1' 6.00" or 1500' 0.00". Needed: 1' 6.00" or 1500' 0.00".`,
  ],
  [
    problem('several-readings', 'distance', { text: '2 40', readings: [{ mm: 2405.5, units: 'metric' }] }),
    '“2 40” is not clear. Needed: 2.4055 m.',
  ],
  [
    problem('out-of-range', 'durationS', { given: '0', min: 0.5, max: 600 }),
    '0 is out of range. Needed: a number from 0.5 to 600.',
  ],
  [problem('not-a-number', 'fNumber', { given: 'NaN', above: 0 }), 'NaN is not a number. Needed: a number above 0.'],
  [problem('not-a-number', 'x', { given: '"ten"', min: 3 }), '"ten" is not a number. Needed: a number of at least 3.'],
  [
    problem('not-a-number', 'x', { given: 'null', max: 3, allowsInfinity: true }),
    'Null is not a number. Needed: a number of at most 3, or infinity.',
  ],
  [
    problem('not-whole', 'day', { given: '1.5', min: 1, max: 400 }),
    '1.5 is not a whole number. Needed: a whole number from 1 to 400.',
  ],
  [problem('too-short', 'name', { min: 1, max: 80 }), 'The text is empty. Needed: text of 1 to 80 characters.'],
  [
    problem('too-long', 'name', { length: 90, min: 0, max: 80 }),
    'The text has 90 characters. Needed: text of at most 80 characters.',
  ],
  [
    problem('not-a-choice', 'turns', { given: '"both"', choices: ['same', 'opposite'] }),
    '"both" is not one of the choices. Needed: same or opposite.',
  ],
  [problem('too-many', 'subjects', { count: 13, max: 12, counted: 'items' }), 'There are 13 items. Needed: at most 12.'],
  [
    problem('too-few', 'points', { count: 1, min: 2, counted: 'scale-points' }),
    'There is only 1 scale point. Needed: at least 2.',
  ],
  [problem('too-few', 'points', { count: 0, min: 2, counted: 'scale-points' }), 'There are no scale points. Needed: at least 2.'],
  [
    problem('twice', 'frameRates[1]', { what: 'frame-rate', value: 24 }),
    'The frame rate 24 appears twice. Needed: each one once.',
  ],
  [
    problem('closer-than-life-size', 'focusDistanceMm', { given: '150', min: 200 }),
    '150 is too close. Needed: at least 200 (four focal lengths).',
  ],
  [
    problem('outside-ring', 'ringDeg', { given: '400', min: 0, max: 300 }),
    '400 is outside the range of the ring. Needed: 0 to 300.',
  ],
  [
    problem('closer-than-close-focus', 'distanceMm', { given: '200', min: 450, max: Infinity }),
    '200 is closer than the lens can focus. Needed: 450 to infinity.',
  ],
  [
    problem('turns-back', 'points[2]', { ringDeg: 20, betweenDeg: [80, 190] }),
    '20° turns back against its neighbours. Needed: an angle between 80° and 190°.',
  ],
  [
    problem('turns-back', 'points[2]', { ringDeg: 40, betweenDeg: [80] }),
    '40° turns back against its neighbours. Needed: an angle beyond 80°.',
  ],
  [
    problem('outside-lens', 'optics.focalLengthMm', { given: 70, unit: 'mm', min: 65, max: 65 }),
    'The lens has no 70 mm. Needed: 65 mm.',
  ],
  [
    problem('overlap', 'pulls[1].startS', { startS: 4.5, previousEndS: 5 }),
    'It starts at 4.5 s, before the previous one ends. Needed: at least 5.0 s.',
  ],
  [
    problem('ambiguous-comma', 'line 2', { text: '1,200' }),
    '“1,200” could be 1200 or 1.200. Needed: a decimal point, and no thousands separator.',
  ],
  [
    problem('wrong-file', '', { file: 'kit', format: 'x' }),
    'The file is not a kit file of this program. Needed: a file exported from Kit, or a CSV table of lenses or wheels.',
  ],
])('%j', (found, text) => expect(at(found)).toBe(text));

test('typed texts: what can’t be read, and an example in the units of the production', () => {
  const problemOf = (reading: { status: string; problem?: Problem }) => typeSentence(problemText(reading.problem!));
  expect(problemOf(parseDistance('ne', 'metric'))).toBe(
    "“ne” can't be read as a distance. Type a distance such as 2.4, 240cm, 7'11\", 95in or inf.",
  );
  expect(problemOf(parseDistance('ne', 'imperial'))).toContain("Type a distance such as 7'11");
  expect(problemOf(parseDistance('', 'metric'))).toContain('There is no distance.');
  expect(problemOf(parseStop('1.4', { widest: 2.2, narrowest: 22 }))).toBe(
    'The lens has no stop 1.4. Type a stop from 2.2 to 22, such as T2.8.',
  );
  expect(problemOf(parseTime('soon', 24))).toBe(
    "“soon” can't be read as a time. Type seconds such as 3.2, 1:02.5 or frames such as 80f.",
  );
});

test('the problems of a plan and of a file have texts without gaps', () => {
  const found = [
    ...checkPlan({ ...newPlan(), durationS: 'ten', subjects: {}, marks: [{}], optics: null }),
    ...checkPlan({}),
    ...problemsOf([['distance m'], ['near', '1,200', 'x']]),
    ...problemsOf([['distance m', 'deg'], ['2', '9000'], ['1,200', 'x'], ['2'], ['0', '2'], ['99999', '3'], ['1', '2', '3']]),
    ...problemsOf([]),
    ...problemsOf([['3', '80']]),
  ];
  expect(found.length).toBeGreaterThan(20);
  for (const one of found) {
    const view = problemView(one);
    expect(view).toMatchObject({ code: one.code, path: one.path });
    for (const text of [view.message, view.need]) expect(text).not.toMatch(/undefined|NaN$|\[object|^\s*$|\s\s/);
  }
});

function problemsOf(table: string[][]): readonly Problem[] {
  const reading = readScale(table);
  return reading.status === 'unread' ? reading.problems : [];
}

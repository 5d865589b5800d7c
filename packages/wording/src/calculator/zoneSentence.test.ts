import { depthOfField } from '@still-heron/core';
import { textOf } from '../sentence';
import { depthSentence, meterSentence, zoneSentence } from './zoneSentence';

/** 65 mm at f/3.2 on Super 35. */
const at = (focusMm: number) => ({
  zone: depthOfField({
    focalLengthMm: 65,
    fNumber: 3.2,
    circleOfConfusionMm: 0.019,
    principalSeparationMm: 0,
    focusDistanceMm: focusMm,
  }),
  focusMm,
  stop: 3.2,
  stopScale: 'f' as const,
});

test('the zone says its limits and its depth on both sides', () => {
  expect(textOf(zoneSentence(at(2900), 'metric'))).toBe(
    'Sharp from 2.79 m to 3.02 m at f/3.2, focused at 2.90 m: 11 cm in front, 12 cm behind.',
  );
});

test('focused at infinity, everything behind is sharp', () => {
  expect(textOf(zoneSentence(at(Infinity), 'metric'))).toMatch(
    /^Sharp from [\d.]+ m to infinity at f\/3\.2, focused at infinity: .* in front, everything behind\.$/,
  );
});

test('in feet, the same zone is in feet and inches', () => {
  expect(textOf(zoneSentence(at(2900), 'imperial'))).toMatch(/^Sharp from 9' 2" to 9' 11"/);
});

test('the depth says how the zone is divided, unless it is endless', () => {
  expect(textOf(depthSentence(at(2900), 'metric'))).toMatch(
    /^11 cm in front, 12 cm behind at 2\.90 m and f\/3\.2: 4\d % of the zone lies in front\.$/,
  );
  expect(textOf(depthSentence(at(500_000), 'metric'))).toMatch(/in front, everything behind at 500\.0 m and f\/3\.2\.$/);
});

test.each([
  [null, 'Meter the light with these settings and type the stop. The effect of the chosen stop appears here.'],
  [0.1, 'As metered: T4.5 needs no correction.'],
  [-0.1, 'As metered: T4.5 needs no correction.'],
  [4 / 3, '1⅓ stops too dark at T4.5 instead of the metered T2.8. Correct it by one of these, or by several in part.'],
  [-1, '1 stop too bright at T4.5 instead of the metered T2.8. Correct it by one of these, or by several in part.'],
])('%p stops from the meter', (missing, text) => {
  expect(textOf(meterSentence(missing, 4.5, missing === null ? null : 2.8))).toBe(text);
});

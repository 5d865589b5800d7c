import { newPlan, newTake, type Recovery } from '@still-heron/core';
import { depthGroupText, faultTimesText, lookText, recoveryLines, turnsOfDayText } from './detailsText';

test('depths of the zone are told from limit to limit', () => {
  expect(depthGroupText(20, 'metric')).toBe('up to 2.0 cm');
  expect(depthGroupText(50, 'metric')).toMatch(/^2.0 cm to /);
  expect(depthGroupText(null, 'metric')).toMatch(/^more than /);
});

test('faults, turns and looks are told in a line each', () => {
  const faults = [
    { fault: 'late' as const, takes: 5 },
    { fault: 'overshot' as const, takes: 2 },
  ];
  expect(faultTimesText(faults, 12)).toBe('late in 5, overshot in 2, of 12 takes');
  expect(turnsOfDayText({ turns: 1, smoothness: 0.914, settlingS: 0.124, pastZone: 0 })).toBe(
    '1 turn: 91 % smooth, settled in 0.12 s, 0 past the zone',
  );
  expect(turnsOfDayText({ turns: 3, smoothness: 0.5, settlingS: null, pastZone: 3 })).toContain('none settled');
  expect(lookText({ on: 'the small display', magnification: 4, confidence: 'sure', focus: 'sharp' })).toBe(
    'on the small display, 4 ×, sure: sharp',
  );
  expect(lookText({ on: '', magnification: null, confidence: null })).toBe('display not said');
});

test('a recovery has its span and its grade, and without a grade nothing', () => {
  const span = { fromS: 1.2, toS: 1.8, measured: 'jerked' as const };
  const lines = (recovery: Recovery) => recoveryLines({ ...newTake(newPlan(), 1), recoveries: [recovery] });
  expect(lines({ ...span, said: null })).toEqual([expect.stringMatching(/, jerked$/)]);
  expect(lines({ ...span, said: 'gentle' })).toEqual([expect.stringMatching(/, gentle$/)]);
  expect(lines({ ...span, said: null, measured: null })).toEqual([]);
});

import { defaultLens, type KitCamera, presetRig, type RingPoint, withAidTest } from '@still-heron/core';
import { textOf } from '../sentence';
import { cameraSentence, lensSentence, rigSentence, wheelSentence } from './kitSentences';

const lens = defaultLens({ name: '65 mm', focalLengthMm: 65, widestStop: 2.2 });

test('a ring says its throw, and what a degree does at the distance under the mark', () => {
  expect(textOf(lensSentence(lens, [], 3000, 'metric'))).toMatch(
    /^280° from infinity to [\d.]+ m\. Near 3\.00 m one degree moves focus by [\d.]+ cm\.$/,
  );
  expect(textOf(lensSentence(lens, [], Infinity, 'metric'))).toContain('Turn it off infinity to see the effect of a degree.');
  expect(textOf(lensSentence({ ...lens, response: 'steps', stepCount: 120 }, [], 3000, 'metric'))).toContain(
    '120 presses from end to end.',
  );
});

test('a ring that answers by speed holds no mark', () => {
  expect(textOf(lensSentence({ ...lens, response: 'speed' }, [], 3000, 'metric'))).toMatch(/^No mark on this ring holds\./);
});

test('a mistyped reading is named with its distance', () => {
  // a helicoid of 65 mm: angle proportional to extension
  const angle = (mm: number) => 280 * ((65 * 65) / (mm - 65) / ((65 * 65) / (650 - 65)));
  const points: RingPoint[] = [null, 3000, 2000, 1200, 900, 650].map((distanceMm) => ({
    distanceMm,
    ringDeg: distanceMm === null ? 0 : Number(angle(distanceMm).toFixed(1)),
  }));
  points[3] = { distanceMm: 1200, ringDeg: points[3]!.ringDeg + 18 };
  expect(textOf(lensSentence(lens, points, 3000, 'metric'))).toMatch(
    /^1\.20 m does not fit the other points: \d+\.\d° off\. Read it again before you use the lens\.$/,
  );
});

test('a rig says what is missing', () => {
  const rig = presetRig('R', 'shoulder', 'alone');
  const parts = ['plate', 'monitor', 'handles'].map((name, index) => ({ id: `part-${index}`, name, isThere: index > 0 }));
  expect(textOf(rigSentence({ ...rig, parts: [] }))).toMatch(/^No parts listed yet\./);
  expect(textOf(rigSentence({ ...rig, parts }))).toBe('1 of 3 parts missing: plate.');
  expect(textOf(rigSentence({ ...rig, parts: parts.slice(1) }))).toBe('Complete: all 2 parts are here.');
});

test('a camera says how much is tested, and what is to be tested again', () => {
  const mode = { id: 'mode-1', name: 'Wide', sensorWidthMm: 24, sensorHeightMm: 14, photositesWide: null, fastestFps: 60 };
  const camera = {
    name: 'Body',
    software: '2.0',
    modes: [mode],
    displays: ['Finder'],
    tests: [],
    retestAfterDays: 180,
  } as unknown as KitCamera;
  expect(textOf(cameraSentence({ ...camera, displays: [] }, '2026-03-01'))).toMatch(/^No display yet\./);
  expect(textOf(cameraSentence(camera, '2026-03-01'))).toMatch(/^0 of \d+ tested\. Untested aids may fail on the day\.$/);
  const test = { aid: 'magnify', display: 'Finder', modeId: 'mode-1', works: true, note: '', testedBy: 'A' } as const;
  const tested = withAidTest(camera, { ...test, testedOn: '2026-02-20', software: '2.0' });
  expect(textOf(cameraSentence(tested, '2026-03-01'))).toMatch(/^1 of \d+ tested\. Untested/);
  const updated = withAidTest(camera, { ...test, testedOn: '2026-02-20', software: '1.9' });
  expect(textOf(cameraSentence(updated, '2026-03-01'))).toContain('1 to test again: 1 with other software.');
  const old = withAidTest(camera, { ...test, testedOn: '2025-01-01', software: '2.0' });
  expect(textOf(cameraSentence(old, '2026-03-01'))).toContain('1 to test again: older than 180 days.');
});

test('a wheel says its window, least time and regrips', () => {
  const turn = { windowOnDiscMm: 3.456, minTimeS: 0.5, regrips: 1 } as Parameters<typeof wheelSentence>[0]['turn'];
  expect(textOf(wheelSentence({ turn, fromMm: 2900, toMm: 2050, lens, nearerTurns: 'clockwise' }, 'metric'))).toBe(
    '3.5 mm landing window on the disc, and 0.50 s at least, from 2.90 m to 2.05 m on the 65 mm at its widest stop, with 1 regrip. Nearer turns it clockwise.',
  );
});

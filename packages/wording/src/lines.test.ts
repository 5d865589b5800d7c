import { addSubjectAt, changeCameraKey, changeMark, newPlan } from '@still-heron/core';
import { aimText, framingText } from './floor/floorText';
import { calibrationFitText, calibrationStepText, landingWindowText, wheelTimeLines } from './kit/calibrationText';
import { axisLines, measureRefusalText, noStopText, referenceRoomText, staleText } from './marks/markText';
import { KEPT_INPUT, refusalText } from './saving/refusalText';
import { differingTakesText, importedText } from './takes/importText';
import { savingText } from './saving/savingText';
import { blurLines, keepRateLines, separationText } from './stop/blurText';
import { crewFitLines, predictionText } from './takes/measuredText';

test('what was measured in takes is told, and nothing else', () => {
  const error = { mean: -0.12, sigma: 0.2, count: 7 };
  const nothing = {
    late: null,
    off: null,
    markMisses: null,
    cueSigmaS: new Map(),
    reactionS: null,
    hand: null,
    markSigmaMm: new Map(),
  };
  expect(crewFitLines(nothing, newPlan(), 'metric')).toEqual([]);
  expect(crewFitLines({ ...nothing, late: error, markMisses: { mean: 0, sigma: 42, count: 30 } }, newPlan(), 'metric')).toEqual([
    'pulls start 0.12 s early on average, ±0.20 s (7 measured)',
    'people miss marks by ±4.2 cm (30 measured)',
  ]);
  const cueSigmaS = new Map([
    ['pull-1', 0.2],
    ['pull-2', 0.5],
  ]);
  expect(
    crewFitLines(
      { ...nothing, late: error, cueSigmaS, reactionS: 0.18, hand: { steadyDeg: 1.24, perBitS: 0.171 } },
      newPlan(),
      'metric',
    ),
  ).toEqual([
    'pulls start 0.12 s early on average, ±0.20 s (7 measured)',
    'the pull to a deleted pull differs: ±0.50 s',
    'the puller reacts to a cue in 0.18 s',
    'a hand that is steady to ±1.2° and needs 0.17 s per bit explains that',
  ]);
});

test('predictions are held against takes, by the number of takes', () => {
  const group = (takes: number, predicted: number, share: number) => ({ takes, predicted, share });
  // 24 of 40, 30 of 40 and 12 of 20, with their intervals by Wilson at 95 %, worked out by hand
  expect(predictionText([group(30, 0.5, 0.5), group(10, 0.9, 0.9)])).toBe(
    'Predictions match, over 40 takes. As far as they can tell, 45 to 74 of 100 are kept.',
  );
  expect(predictionText([group(30, 0.5, 0.7), group(10, 0.9, 0.9)])).toBe(
    'Better than predicted by 15 of 100, over 40 takes; that can be chance. As far as they can tell, 60 to 86 of 100 are kept.',
  );
  expect(predictionText([group(20, 0.8, 0.6)])).toBe(
    'Worse than predicted by 20 of 100, over 20 takes. As far as they can tell, 39 to 78 of 100 are kept.',
  );
  expect(predictionText([group(10, 0.6, 0.5)])).toContain('over 10 takes; that can be chance.');
});

test('a subject enters and leaves the picture', () => {
  const told = (framed: { fromS: number; untilS: number }[] | null) => framingText({ framed, name: 'Cart' }, 10);
  expect(told(null)).toBe('Cart is not on the floor');
  expect(told([])).toBe('Cart is never in frame');
  expect(told([{ fromS: 0, untilS: 10 }])).toBe('Cart is in frame all the time');
  expect(told([{ fromS: 4.2, untilS: 8 }])).toBe('Cart enters at 4.2 s, leaves at 8.0 s');
});

test('the camera is aimed at someone, at a point, or straight ahead', () => {
  const plan = { ...newPlan(), subjects: [{ id: 'subject-1', name: 'Ines' }] } as never;
  expect(aimText({ kind: 'subject', subjectId: 'subject-1' }, plan)).toBe('at Ines, who is followed');
  expect(aimText({ kind: 'point', xMm: 1, yMm: 1, heightMm: null }, plan)).toBe('at a point, level');
  expect(aimText({ kind: 'heading', deg: 10, tiltDeg: null }, plan)).toBe('straight ahead, level');
});

test('a calibration says what to do, and how true the points are', () => {
  expect(calibrationStepText(0, 0, 'metric')).toMatch(/^Turn the ring to infinity/);
  expect(calibrationStepText(2, 2400, 'metric')).toBe(
    'Put a target at 2.40 m and focus on it by eye, from both sides. Type the ring reading.',
  );
  expect(calibrationFitText(6, 1.24)).toBe('6 points. They differ from a smooth scale by 1.2°.');
  expect(calibrationFitText(2, null)).toMatch(/^2 points\. They do not show yet/);
  expect(landingWindowText(2.83)).toContain('2.8° of the ring');
});

test('the least time of a turn, by hand or by a slow motor', () => {
  const turn = { travelDeg: 90, windowDeg: 4.5, regrips: 1 } as never;
  const wheel = { fastestDegPerS: 200 } as never;
  expect(wheelTimeLines(turn, wheel).slice(0, 2)).toEqual([
    'the larger of aiming (0.15 s + 0.22 s × log₂(90° / 4.50° + 1))',
    'and turning (1.875 × 90° / 200°/s)',
  ]);
});

test('a mark off the axis, an object beside the zone, a miss no stop allows, a device that is silent', () => {
  const beside = changeMark(addSubjectAt(newPlan(), 'Ines', { xMm: 2900, yMm: 768 }), 'mark-1', { distanceMm: 3000 });
  expect(axisLines(beside, beside.marks[0]!, 'metric')).toEqual([
    'tape 3.00 m: the straight line from the image plane',
    'depth 2.90 m: along the lens axis, because the plane of focus is perpendicular to it',
    'with the camera as it is when focus lands on this mark',
  ]);
  const nearer = changeCameraKey(beside, 'camera-1', { xMm: 500 });
  expect(axisLines(nearer, nearer.marks[0]!, 'metric').slice(1, 3)).toEqual([
    '2.52 m from where the camera is at 0.0 s',
    'depth 2.40 m: along the lens axis, because the plane of focus is perpendicular to it',
  ]);
  expect(staleText(nearer, nearer.marks[0]!, 'metric')).toBe('stale: moved in the drawing, now 2.52 m');
  const room = { marginMm: 20, nearerMm: 30, fartherMm: Infinity } as never;
  expect(referenceRoomText(room, 'metric')).toBe('sharp at the mark, room −3.0 cm / +any');
  expect(referenceRoomText({ ...(room as object), marginMm: -80 } as never, 'metric')).toBe(
    '8.0 cm beside the zone: soft at the mark',
  );
  const lens = { stopScale: 'T', narrowestStop: 16 } as const;
  expect(noStopText(Infinity, lens)).toBe('No stop is enough: the miss reaches the lens.');
  expect(noStopText(22, lens)).toBe('It needs T22, and this lens stops down to T16.');
  expect(measureRefusalText('no-answer', 'B', 'laser')).toBe('The measuring device does not answer. Type what the laser shows.');
  expect(measureRefusalText('not-on-the-floor', 'B', 'tape')).toMatch(/^B is not on the floor/);
});

test('a keep rate names its takes, its interval and its seed', () => {
  expect(keepRateLines({ keepRate: 0.5938, takes: 10_000, low: 0.584, high: 0.603, seed: 7 } as never)).toEqual([
    '5,938 of 10,000 simulated takes keep everything that is required',
    '95 % confidence interval: 58.4 to 60.3 %',
    'each simulated take draws new errors: missed marks, late people, measuring, cues and landings',
    'the same simulated takes for every stop: seed 7',
  ]);
});

test('blur is told on the sensor; more of it comes from a longer lens, a nearer camera or a farther background', () => {
  expect(blurLines('Ines', 2.3, 0.019).slice(0, 2)).toEqual([
    'a point of Ines becomes a disc 44 µm wide on the sensor',
    'circle of confusion 19 µm: 2.30 of it',
  ]);
  const way = { focalLengthMm: 84.2, focusMm: 3900, backgroundMm: 9000 } as never;
  const told = (kind: string) => separationText({ ...(way as object), kind } as never, 'metric');
  expect(told('longer-lens')).toBe('85 mm from 3.90 m, framed the same');
  expect(told('nearer')).toBe('this lens from 3.90 m');
  expect(told('farther-background')).toBe('background at 9.00 m');
});

test('whatever happens to a save, the edit is kept, and the page says where', () => {
  const told = (status: Parameters<typeof savingText>[0]['status']) =>
    savingText({ status, savedAt: '2026-11-28T10:00:00Z', problem: { message: 'too long', path: 'title', need: 'at most 120' } });
  expect(told('saved').text).toMatch(/^Saved \d\d:\d\d$/);
  expect(told('delayed')).toMatchObject({ text: 'Kept here: too long', tone: 'edge' });
  // while it is tried again
  expect(told('saving')).toEqual(told('delayed'));
  expect(savingText({ status: 'saving', savedAt: null, problem: null }).text).toBe('Saving…');
  expect(
    savingText({ status: 'delayed', savedAt: null, problem: { code: 'unreachable', message: 'The server does not answer' } }),
  ).toMatchObject({
    text: 'Kept here: no server',
    title: 'The server does not answer. Your edits are kept here and sent again.',
  });
  expect(told('conflict').tone).toBe('soft');
  expect(told('refused')).toEqual({
    text: 'Not saved: too long',
    tone: 'soft',
    title: 'title needs at most 120. It is kept on this device.',
  });
});

test('a refusal says what did not happen, why, and that nothing is lost', () => {
  const problem = { message: 'take 3 was changed elsewhere' };
  expect(refusalText('Take 3 was not changed', problem)).toBe('Take 3 was not changed: take 3 was changed elsewhere.');
  expect(refusalText('Take 3 was not changed', problem, KEPT_INPUT)).toMatch(/elsewhere\. Your input is still here\.$/);
  expect(importedText({ fresh: 9, same: 4, replaced: 1, left: 2 })).toBe(
    '9 takes imported. 4 were here already. 1 was replaced. 2 differ, and stay as they are here.',
  );
  expect(importedText({ fresh: 1, same: 0, replaced: 0, left: 0 })).toBe('1 take imported.');
  expect(importedText({ fresh: 0, same: 13, replaced: 0, left: 0 })).toBe(
    '13 takes read: all of them are here already, and nothing differs.',
  );
  expect([differingTakesText(1), differingTakesText(2)]).toEqual([
    '1 take of the file differs from the one here.',
    '2 takes of the file differ from those here.',
  ]);
});

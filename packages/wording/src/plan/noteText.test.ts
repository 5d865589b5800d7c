import {
  addOpticsChange,
  cameraMoved,
  changePull,
  chooseRig,
  chooseWheel,
  defaultWheel,
  moveCameraTo,
  planNotes,
  presetRig,
  setLens,
  setStop,
  type ShotPlan,
  startFloor,
  SUPPORTS,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { noteText } from './noteText';

const notesOf = (plan: ShotPlan) => planNotes(plan, { shutterAngleDeg: 180 });
const rigged = (support: (typeof SUPPORTS)[number], changes = {}): ShotPlan =>
  chooseRig(twoPeople(), null, { ...presetRig('Rig A', support, 'alone'), ...changes });

const recordedBy = (changes: Partial<ShotPlan['optics']['camera']>): ShotPlan => ({
  ...twoPeople(),
  optics: { ...twoPeople().optics, camera: { ...twoPeople().optics.camera, ...changes } },
});

/** Plans that together have every note. */
const PLANS: readonly ShotPlan[] = [
  ...SUPPORTS.map((support) => rigged(support, { weightKg: 9, displayIsCabled: true })),
  addOpticsChange(setLens(rigged('stabiliser'), { longestMm: 130 }), 'zooms', 2, 90),
  addOpticsChange(setStop(setLens(twoPeople(), { longestMm: 130, widestStopLong: 4 }), 2.2), 'zooms', 2, 130),
  setLens(twoPeople(), { response: 'speed' }),
  chooseWheel(setLens(twoPeople(), { response: 'speed' }), null, defaultWheel({ name: 'Wheel', hasEndStops: true })),
  setLens(twoPeople(), { response: 'steps', stepCount: 200, longestMm: 130, squeeze: 1.5 }),
  cameraMoved(twoPeople()),
  { ...twoPeople(), marks: twoPeople().marks.map((mark) => ({ ...mark, hasHardStop: true, stale: 'camera' as const })) },
  changePull({ ...twoPeople(), isReversed: true }, 'pull-1', { trigger: 'look' }),
  { ...setStop(twoPeople(), 22), exposure: { ...twoPeople().exposure, shutterAngleDeg: 90 } },
  moveCameraTo(startFloor(twoPeople()), { xMm: 500, yMm: 0 }, 4),
  { ...twoPeople(), areHandsNeeded: true },
  { ...twoPeople(), method: 'automatic' },
  { ...twoPeople(), method: 'fixed' },
  recordedBy({ fastestFps: 20 }),
  recordedBy({ frameRates: [25, 50] }),
];

test('every note is a sentence without gaps', () => {
  const notes = PLANS.flatMap(notesOf);
  expect(new Set(notes.map(({ code }) => code)).size).toBeGreaterThan(20);
  for (const note of notes) {
    expect(noteText(note)).toMatch(/^[A-Z0-9].*\.$/);
    expect(noteText(note)).not.toMatch(/undefined|NaN|\[object/);
  }
});

test('notes name their values', () => {
  const [stale] = notesOf(cameraMoved(twoPeople()));
  expect(noteText(stale!)).toBe(
    'A, B were measured before the camera was moved. Measure again: until then the old distance counts.',
  );
  expect(noteText({ code: 'stale-marks', kind: 'warning', letters: ['B'], since: 'drawing' })).toBe(
    'B was measured before the camera or the mark was moved in the drawing. Measure again: until then the drawing counts, corrected by what the tape said before.',
  );
  expect(noteText({ code: 'outside-stops', kind: 'warning', letters: ['C'], stops: ['A', 'B'] })).toBe(
    'C lies beyond the hard stops at A and B: the wheel does not get there.',
  );
  expect(noteText({ code: 'missing-parts', kind: 'warning', rig: 'Rig A', parts: ['head', 'strap'] })).toBe(
    'Missing on Rig A: head, strap.',
  );
  expect(noteText({ code: 'reversed', kind: 'warning', hasCues: true })).toContain('each cue comes after its pull');
  expect(noteText({ code: 'reversed', kind: 'warning', hasCues: false })).not.toContain('cue');
});

test('every caution about movement defers to those who decide, and none gives a distance', () => {
  for (const support of ['crane', 'vehicle', 'cable', 'stabiliser', 'handheld', 'shoulder'] as const) {
    const cautions = notesOf(rigged(support))
      .filter(({ kind }) => kind === 'caution')
      .map(noteText);
    expect(cautions.some((text) => text.includes('safety lead decide'))).toBe(true);
    for (const text of cautions) expect(text).not.toMatch(/\d+(\.\d+)? ?(m|cm|ft)\b/);
  }
});

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { evaluatePull, keepRate } from '../index';
import { checkPlan } from './checkPlan';
import type { ShotPlan } from './shotPlan';
import { upgradePlan } from './upgradePlan';

const SAMPLES = join(__dirname, '../../test/samples');
const read = (name: string): unknown => JSON.parse(readFileSync(join(SAMPLES, name), 'utf8'));

/**
 * What the versions of the program that saved the samples computed from them; in 3 to 6 since then with a steadier walk and dolly,
 * and pulls that aim at marks from the camera of their landing; in 7 to 9 with a pull that lands while its puller turns the iris; in 11 and
 * 12 with a share of sharp frames from which frames are left out in which somebody is hidden.
 */
const VERDICTS = read('verdicts.json') as Record<string, Record<string, unknown>>;

test.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])('a plan saved with schema %d is read, and means what it meant', (schema) => {
  const saved = read(`plan-${schema}.json`);
  expect(checkPlan(saved)).not.toEqual([]);
  const upgraded = upgradePlan(saved) as ShotPlan;
  expect(checkPlan(upgraded)).toEqual([]);
  expect(upgradePlan(upgraded)).toBe(upgraded);
  const verdict = evaluatePull(upgraded);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  const { sharpFrames, requiredFrames, outcome, track } = verdict;
  const rate = keepRate(upgraded, { takes: 400, seed: 1 });
  expect({
    sharpFrames,
    requiredFrames,
    outcome,
    lastRingDeg: track.ringDeg.at(-1),
    keepRate: rate.keepRate,
    sharpShare: rate.sharpShare,
  }).toEqual(VERDICTS[schema]);
});

test('nothing of a plan with everything in it is lost', () => {
  const saved = read('plan-7.json') as Record<string, unknown>;
  const upgraded = upgradePlan(saved) as ShotPlan;
  const { subjects, floor, exposure, wheel, rig, kit, schedule, hand, notes, isReversed } = upgraded;
  expect({ subjects, floor, exposure, wheel, rig, kit, schedule, hand, notes, isReversed }).toEqual({
    subjects: (saved['subjects'] as object[]).map((subject) => ({ ...subject, kind: 'person', widthMm: 450, tallMm: 0 })),
    floor: {
      ...(saved['floor'] as { landmarks: object[] }),
      landmarks: (saved['floor'] as { landmarks: object[] }).landmarks.map((landmark) => ({ ...landmark, tallMm: 0 })),
      camera: [expect.objectContaining({ id: 'camera-1', heightMm: null, missSigmaMm: null })],
      aims: [expect.objectContaining({ at: { kind: 'heading', deg: 0, tiltDeg: null } })],
    },
    exposure: { ...(saved['exposure'] as object), lightReadings: [], toleranceStops: 0.5 },
    wheel: saved['wheel'],
    rig: saved['rig'],
    kit: saved['kit'],
    schedule: { ...(saved['schedule'] as object), coverShotId: null },
    hand: { ...(saved['hand'] as object), twoJobsFactor: 1.5 },
    notes: 'a note',
    isReversed: false,
  });
  expect(upgraded.focusTrack.pulls).toMatchObject([
    { id: 'rack-1', trigger: 'spoken-line', cue: '“Listen.”', countInS: 2, cueSigmaS: 0.08, easing: 'ease-in' },
    { id: 'rack-2', trigger: 'clock', target: { kind: 'subject', leadS: 0.1 } },
    { id: 'rack-3', target: { kind: 'blur', blurPercent: 2, towards: 'near' } },
    { id: 'rack-4', trigger: 'hand', cue: 'the lantern goes up', target: { kind: 'distance', distanceMm: null } },
  ]);
  expect(upgraded.alternates!.shown).toBe('B');
  expect(upgraded.alternates!.other.pulls).toHaveLength(4);
  expect(upgraded.marks).toMatchObject([
    { method: 'tape', focusReferenceId: 'landmark-1', hasHardStop: true, pose: 'head up', allowanceMm: 40, tapeColour: 'red' },
    { method: 'reference', uncertaintyMm: 60, focusReferenceId: null, hasHardStop: false },
    { method: 'drawn' },
  ]);
  expect(upgraded.beats).toMatchObject([
    { requirement: 'sharp', keyMomentS: 1.5, requiredShare: 0.9 },
    { requirement: 'sharp', keyMomentS: null },
    { requirement: 'soft', blurPercent: 1.5, why: 'hidden' },
    { requirement: 'none' },
  ]);
  expect(upgraded.optics.irisPulls).toEqual((saved['optics'] as { stopPulls: unknown }).stopPulls);
  expect(upgraded.maxHandDegPerS).toBe(360);
  expect(upgraded.goals).toEqual({
    isOneChance: true,
    targetKeepRate: 0.9,
    background: { name: 'furnace door', distanceMm: 7000 },
    blurPercent: 1.2,
    screenTimeS: 6,
  });
  const taps = (run: number) => upgraded.rehearsals[run]!.taps.map(({ event }) => event);
  expect(upgraded.rehearsals).toHaveLength(2);
  expect(taps(0)).toContainEqual({ kind: 'cue', pullId: 'rack-1' });
  expect(taps(0)).toContainEqual(expect.objectContaining({ kind: 'leaves', subjectId: 'subject-2' }));
});

test.each([
  null,
  7,
  {},
  { schema: 1 },
  { schema: 1, optics: 3, marks: 'no' },
  { schema: 2 },
  { schema: 2, marks: [7], subjects: 'x' },
  { schema: 4, line: 7, beats: [null] },
  { schema: 6, wanted: 7 },
  { schema: 7, line: 7, alternates: 'x', rehearsals: [3], marks: [null] },
  { schema: 99 },
])('a broken plan %j stays broken, and says so', (broken) => expect(checkPlan(upgradePlan(broken)).length).toBeGreaterThan(0));

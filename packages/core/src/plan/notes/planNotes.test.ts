import { twoPeople } from '../../../test/plans';
import { defaultLens, defaultWheel, presetRig } from '../../kit/index';
import { addOpticsChange, setLens, setStop } from '../edits/optics';
import { addPull } from '../edits/pulls';
import { addSubject } from '../edits/subjects';
import { marksHold, makeStale } from '../edits/marks';
import { moveCameraTo } from '../edits/cameraPath';
import { planNotes } from './planNotes';
import type { ShotPlan } from '../shotPlan';
import { startFloor } from '../edits/floor';
import { chooseLens, chooseRig, chooseWheel } from '../edits/gear';

const zoom = defaultLens({
  name: 'Zoom 25–100',
  focalLengthMm: 25,
  longestMm: 100,
  widestStop: 2.8,
  widestStopLong: 4,
  closeFocusMm: 900,
});
const wheel = defaultWheel({ name: 'Large wheel', wheelPerRing: 2, discDiameterMm: 90, hasEndStops: true, comfortableDeg: 150 });
const codes = (plan: ShotPlan) => planNotes(plan, { shutterAngleDeg: 180 }).map(({ code }) => code);

describe('what the gear says against the plan', () => {
  const rigged = (support: Parameters<typeof presetRig>[1], puller: Parameters<typeof presetRig>[2]) => {
    const rig = presetRig('R', support, puller);
    return chooseRig(twoPeople(), null, { ...rig, parts: rig.parts.map((part) => ({ ...part, isThere: true })) });
  };

  test('nothing against a plain shot', () => expect(codes(rigged('legs', 'puller'))).toEqual([]));

  test.each<[string, ShotPlan, string[]]>([
    ['a ring by speed', chooseWheel(setLens(twoPeople(), { response: 'speed' }), null, wheel), ['ring-by-speed', 'no-end-stops']],
    ['a ring in steps', setLens(twoPeople(), { response: 'steps', stepCount: 300 }), ['ring-in-steps']],
    [
      'a zoom not tested',
      addOpticsChange(marksHold(chooseLens(twoPeople(), 'z', zoom)), 'zooms', 1, 90),
      ['zoom-not-tested', 'stop-limited'],
    ],
    ['a zoom not used', marksHold(chooseLens(twoPeople(), 'z', zoom)), ['no-zoom-in-to-focus']],
    ['a crane with a hand at the ring', rigged('crane', 'puller'), ['out-of-reach', 'licensed-people']],
    ['a crane by remote', rigged('crane', 'remote'), ['licensed-people']],
    [
      'a stabiliser by hand',
      rigged('stabiliser', 'alone'),
      ['hands-clash', 'hand-on-stabiliser', 'walking', 'two-jobs', 'type-focal-length'],
    ],
    ['handheld', rigged('handheld', 'alone'), ['walking', 'two-jobs']],
    ['stopped far down', setStop(twoPeople(), 22), ['diffraction']],
    ['another shutter', { ...twoPeople(), exposure: { ...twoPeople().exposure, shutterAngleDeg: 90 } }, ['other-shutter']],
    ['a squeezed picture', setLens(twoPeople(), { squeeze: 1.5 }), ['squeezed']],
    ['parts missing', chooseRig(twoPeople(), null, presetRig('On legs', 'legs', 'alone')), ['missing-parts']],
    [
      'a heavy one in the hands, its display on a cable',
      chooseRig(twoPeople(), null, { ...rigged('shoulder', 'alone').rig!, weightKg: 9, displayIsCabled: true }),
      ['walking', 'cable', 'heavy', 'two-jobs'],
    ],
  ])('%s', (_, plan, expected) => expect(codes(plan)).toEqual(expected));
});

test('a camera that moves is said once, with who decides; one that stands is not', () => {
  const moving = moveCameraTo(startFloor(twoPeople()), { xMm: 500, yMm: 0 }, 4);
  const [note, ...others] = planNotes(moving, { shutterAngleDeg: 180 });
  expect(note).toMatchObject({ code: 'camera-moves', kind: 'caution' });
  expect(others).toEqual([]);
  expect(codes(startFloor(twoPeople()))).toEqual([]);
  const walkedWith = chooseRig(moving, null, presetRig('R', 'handheld', 'alone'));
  expect(codes(walkedWith)).toContain('walking');
  expect(codes(walkedWith)).not.toContain('camera-moves');
});

describe('rates and hands', () => {
  const at = (captureFps: number, changes: Partial<ShotPlan['optics']['camera']>): ShotPlan => {
    const plan = twoPeople();
    return { ...plan, captureFps, optics: { ...plan.optics, camera: { ...plan.optics.camera, ...changes } } };
  };

  test('a rate is refused by the mode or by the camera, and nothing is said of figures that nobody typed', () => {
    expect(codes(at(120, { fastestFps: 60 }))).toContain('rate-too-fast');
    expect(codes(at(48, { fastestFps: 60, frameRates: [24, 25, 50] }))).toContain('rate-not-offered');
    expect(codes(at(23.98, { fastestFps: 60, frameRates: [23.976, 25] }))).toEqual(codes(twoPeople()));
    expect(codes(at(240, {}))).toEqual(codes(twoPeople()));
  });

  test('hands that are needed elsewhere are a caution, stronger where the method needs one at the ring', () => {
    const noted = (method: ShotPlan['method']) =>
      planNotes({ ...twoPeople(), areHandsNeeded: true, method }, { shutterAngleDeg: 180 }).find(
        ({ code }) => code === 'hands-needed',
      );
    expect(noted('rack')).toMatchObject({ kind: 'caution', isPulled: true });
    expect(noted('automatic')).toMatchObject({ kind: 'caution', isPulled: false });
    const bySpeed = setLens(twoPeople(), { response: 'speed' });
    expect(codes(bySpeed)).toContain('ring-by-speed');
    expect(codes({ ...bySpeed, method: 'automatic' })).not.toContain('ring-by-speed');
    expect(codes({ ...twoPeople(), method: 'fixed' })).toContain('pulls-unused');
    expect(codes(twoPeople())).not.toContain('pulls-unused');
  });
});

describe('hard stops', () => {
  const stopsAt = (plan: ShotPlan, ...ids: string[]): ShotPlan => ({
    ...plan,
    marks: plan.marks.map((mark) => ({ ...mark, hasHardStop: ids.includes(mark.id) })),
  });
  const geared = (): ShotPlan => addSubject(chooseWheel(twoPeople(), null, wheel), { name: 'Bohdan', distanceMm: 5000 });

  test('two on a wheel that has them, with everything needed between, are as they should be', () => {
    expect(codes(stopsAt(geared(), 'mark-1', 'mark-2'))).toEqual([]);
    expect(codes(stopsAt(geared(), 'mark-1'))).toEqual([]);
  });

  test('a mark outside them, a third one, a wheel without any, or a lens that was changed since, are said', () => {
    const needed = addPull(geared(), 'mark-3', 6);
    const notes = planNotes(stopsAt(needed, 'mark-1', 'mark-2'), { shutterAngleDeg: 180 });
    expect(notes.map(({ code }) => code)).toEqual(['outside-stops']);
    expect(notes[0]).toMatchObject({ letters: ['C'], stops: ['A', 'B'] });
    expect(codes(stopsAt(needed, 'mark-1', 'mark-2', 'mark-3'))).toEqual(['too-many-stops']);
    expect(codes(stopsAt(twoPeople(), 'mark-1'))).toEqual(['stops-without-wheel']);
    expect(codes(makeStale(stopsAt(geared(), 'mark-1'), 'lens'))).toEqual(['stale-marks', 'stops-stale']);
  });
});

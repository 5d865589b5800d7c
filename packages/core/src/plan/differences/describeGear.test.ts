import { twoPeople } from '../../../test/plans';
import { defaultLens, defaultWheel, type Lens, presetRig, type Rig, type Wheel } from '../../kit/index';
import { describeGearChange } from './describeGear';
import { newPlan } from '../edits/newPlan';
import type { ShotPlan } from '../shotPlan';
import { chooseRig, chooseWheel } from '../edits/gear';

const lens = defaultLens({ name: 'A', focalLengthMm: 65, closeFocusMm: 650 });
const withLens = (changes: Partial<Lens>): ShotPlan => ({
  ...newPlan(),
  optics: { ...newPlan().optics, lens: { ...lens, ...changes } },
});

test.each<[Partial<Lens>, string]>([
  [{ name: 'B' }, 'name A → B'],
  [{ focalLengthMm: 75 }, 'focal length 65 mm → 75 mm'],
  [{ longestMm: 130 }, 'longest 65 mm → 130 mm'],
  [{ widestStop: 2 }, 'widest stop T2.2 → T2'],
  [{ widestStopLong: 4 }, 'widest stop at the long end T2.2 → T4'],
  [{ narrowestStop: 16 }, 'narrowest stop T22 → T16'],
  [{ transmittance: 0.9 }, 'light let through 0.85 → 0.9'],
  [{ closeFocusMm: 700 }, 'close focus 0.650 m → 0.700 m'],
  [{ principalSeparationMm: 5 }, 'between the principal planes 0 mm → 5 mm'],
  [{ nearerTurns: 'anticlockwise' }, 'nearer is clockwise → anticlockwise'],
  [{ response: 'speed' }, 'ring answers by angle → by speed'],
  [{ stepCount: 200 }, 'steps 0 → 200'],
  [{ squeeze: 1.5 }, 'squeeze 1 → 1.5'],
  [{ breathingPercent: -2.5 }, 'breathing 0 % → -2.5 %'],
  [{ holdsFocus: 'drifts' }, 'held focus while zooming untested → drifts'],
  [{ reportsData: true }, 'tells the camera nothing → its data'],
  [{ frontDiameterMm: 95 }, 'front not known → 95 mm'],
  [{ ringDiameterMm: 84 }, 'ring diameter not known → 84 mm'],
  [{ gear: 'pitch 0.8' }, 'gear none → pitch 0.8'],
])('a lens with %j', (changes, told) => {
  expect(describeGearChange(withLens({}), withLens(changes), 'lens', 'metric')).toEqual([told]);
});

const wheel = defaultWheel({ name: 'W' });
const withWheel = (changes: Partial<Wheel>) => chooseWheel(twoPeople(), 'w', { ...wheel, ...changes });
test.each<[Partial<Wheel>, string]>([
  [{ kind: 'motor' }, 'kind wheel → motor'],
  [{ wheelPerRing: 1.5 }, 'wheel degrees per ring degree 1 → 1.5'],
  [{ turns: 'opposite' }, 'turns as the ring does → against the ring'],
  [{ discDiameterMm: 90 }, 'disc 80 mm → 90 mm'],
  [{ hasEndStops: true }, 'end stops no → yes'],
  [{ comfortableDeg: 120 }, 'comfortable turn 160° → 120°'],
  [{ fastestDegPerS: 500 }, 'fastest as the hand → 500°/s'],
  [{ notes: 'oiled' }, 'notes none → oiled'],
])('a wheel with %j', (changes, told) => {
  expect(describeGearChange(withWheel({}), withWheel(changes), 'wheel', 'metric')).toEqual([told]);
});

const rig = presetRig('R', 'legs', 'alone');
const withRig = (changes: Partial<Rig>) => chooseRig(twoPeople(), 'r', { ...rig, ...changes });
test.each<[Partial<Rig>, string]>([
  [{ support: 'dolly' }, 'support legs → dolly'],
  [{ puller: 'remote' }, 'who pulls alone → remote'],
  [{ display: 'finder' }, 'display not said → finder'],
  [{ displayInches: 7 }, 'display size not said → 7 in'],
  [{ displayIsCabled: true }, 'display on a cable no → yes'],
  [{ weightKg: 8.2 }, 'weight not weighed → 8.2 kg'],
  [{ parts: rig.parts.map((part) => ({ ...part, isThere: true })) }, 'missing head, plate, leg locks → nothing'],
])('a rig with %j', (changes, told) => {
  expect(describeGearChange(withRig({}), withRig(changes), 'rig', 'metric')).toEqual([told]);
});

test('a close focus in feet, and nothing for what is the same', () => {
  expect(describeGearChange(withLens({}), withLens({ closeFocusMm: 711.2 }), 'lens', 'imperial')).toEqual([
    'close focus 2\' 1½" → 2\' 4"',
  ]);
  expect(describeGearChange(withLens({}), withLens({}), 'lens', 'metric')).toEqual([]);
  expect(describeGearChange(twoPeople(), twoPeople(), 'wheel', 'metric')).toEqual([]);
});

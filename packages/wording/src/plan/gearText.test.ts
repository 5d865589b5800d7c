import {
  chooseLens,
  chooseRig,
  chooseWheel,
  defaultLens,
  defaultWheel,
  type Lens,
  newPlan,
  presetRig,
  type Rig,
  type ShotPlan,
  type Wheel,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { gearDifferenceLines } from './gearText';

const lens = defaultLens({ name: 'A', focalLengthMm: 65, closeFocusMm: 650 });
const withLens = (changes: Partial<Lens>): ShotPlan => ({
  ...newPlan(),
  optics: { ...newPlan().optics, lens: { ...lens, ...changes } },
});

test.each<[Partial<Lens>, string]>([
  [{ name: 'B' }, 'name: A → B'],
  [{ focalLengthMm: 75 }, 'focal length: 65 mm → 75 mm'],
  [{ longestMm: 130 }, 'longest focal length: 65 mm → 130 mm'],
  [{ widestStop: 2 }, 'widest stop: T2.2 → T2'],
  [{ widestStopLong: 4 }, 'widest stop at the long end: T2.2 → T4'],
  [{ narrowestStop: 16 }, 'narrowest stop: T22 → T16'],
  [{ transmittance: 0.9 }, 'transmittance: 0.85 → 0.9'],
  [{ closeFocusMm: 700 }, 'close focus: 0.650 m → 0.700 m'],
  [{ principalSeparationMm: 5 }, 'distance between the principal planes: 0 mm → 5 mm'],
  [{ nearerTurns: 'anticlockwise' }, 'nearer turns: clockwise → anticlockwise'],
  [{ response: 'speed' }, 'ring response: by angle → by speed of turning'],
  [{ stepCount: 200 }, 'steps: 0 → 200'],
  [{ squeeze: 1.5 }, 'squeeze: 1 → 1.5'],
  [{ breathingPercent: -2.5 }, 'breathing: 0 % → -2.5 %'],
  [{ holdsFocus: 'drifts' }, 'focus while zooming: not tested → loses focus'],
  [{ reportsData: true }, 'sends data to the camera: no → yes'],
  [{ frontDiameterMm: 95 }, 'front diameter: unknown → 95 mm'],
  [{ ringDiameterMm: 84 }, 'ring diameter: unknown → 84 mm'],
  [{ gear: 'pitch 0.8' }, 'gear: none → pitch 0.8'],
])('a lens with %j', (changes, line) => {
  expect(gearDifferenceLines(withLens({}), withLens(changes), 'lens', 'metric')).toEqual([line]);
});

test.each<[Partial<Wheel>, string]>([
  [{ kind: 'motor' }, 'kind: wheel → motor'],
  [{ wheelPerRing: 1.5 }, 'wheel turn per ring turn: 1 → 1.5'],
  [{ turns: 'opposite' }, 'direction: as the ring → opposite to the ring'],
  [{ discDiameterMm: 90 }, 'marking disc: 80 mm → 90 mm'],
  [{ hasEndStops: true }, 'hard stops: no → yes'],
  [{ comfortableDeg: 120 }, 'comfortable turn: 160° → 120°'],
  [{ fastestDegPerS: 500 }, 'top speed: of the hand → 500°/s'],
  [{ notes: 'oiled' }, 'notes: none → oiled'],
])('a wheel with %j', (changes, line) => {
  const wheel = defaultWheel({ name: 'W' });
  const [before, after] = [wheel, { ...wheel, ...changes }].map((one) => chooseWheel(twoPeople(), 'w', one));
  expect(gearDifferenceLines(before!, after!, 'wheel', 'metric')).toEqual([line]);
});

const rig = presetRig('R', 'legs', 'alone');
test.each<[Partial<Rig>, string]>([
  [{ support: 'dolly' }, 'support: tripod → dolly'],
  [{ puller: 'remote' }, 'who pulls: the operator, alone → a focus puller by remote'],
  [{ display: 'finder' }, 'display: unknown → finder'],
  [{ displayInches: 7 }, 'display size: unknown → 7 in'],
  [{ displayIsCabled: true }, 'display on a cable: no → yes'],
  [{ weightKg: 8.2 }, 'weight: unknown → 8.2 kg'],
  [
    { parts: rig.parts.map((part) => ({ ...part, isThere: true })) },
    'parts: head, plate, leg locks (missing: head, plate, leg locks) → head, plate, leg locks',
  ],
])('a rig with %j', (changes, line) => {
  const [before, after] = [rig, { ...rig, ...changes }].map((one) => chooseRig(twoPeople(), 'r', one));
  expect(gearDifferenceLines(before!, after!, 'rig', 'metric')).toEqual([line]);
});

test('a scale is summed up; close focus is in the units of the production; equal gear has no lines', () => {
  const points = [0, 80, 190, 280].map((ringDeg, k) => ({ distanceMm: [null, 3000, 1500, 900][k]!, ringDeg }));
  const scale = (list: typeof points) => chooseLens(twoPeople(), 'z', { ...lens, ring: { kind: 'table', points: list } });
  const shown = (a: ShotPlan, b: ShotPlan) => gearDifferenceLines(a, b, 'lens', 'metric');
  const helicoid = chooseLens(twoPeople(), 'z', lens);
  expect(shown(helicoid, scale(points))).toEqual(['ring: throw 280° → 4 scale points over 280°']);
  expect(shown(scale(points), scale(points.map((point, k) => (k === 1 ? { ...point, ringDeg: 82.5 } : point))))).toEqual([
    '1 of 4 scale points changed, by up to 2.5°',
  ]);
  expect(shown(scale(points), scale([...points.slice(0, 2), { distanceMm: 1200, ringDeg: 230 }, points[3]!]))).toEqual([
    '1 scale point added',
    '1 scale point removed',
  ]);
  expect(gearDifferenceLines(withLens({}), withLens({ closeFocusMm: 711.2 }), 'lens', 'imperial')).toEqual([
    'close focus: 2\' 1½" → 2\' 4"',
  ]);
  expect(shown(helicoid, helicoid)).toEqual([]);
  expect(gearDifferenceLines(twoPeople(), twoPeople(), 'wheel', 'metric')).toEqual([]);
});

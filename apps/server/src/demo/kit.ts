import {
  type KitCamera,
  type KitLens,
  lensRing,
  defaultLens,
  defaultWheel,
  presetRig,
  type Rig,
  type RingPoint,
  type Wheel,
} from '@still-heron/core';

/** The demo's kit: invented gear with descriptive names and no makers. */

const DEMO_DAY = '2026-09-14';

const bodyA: KitCamera = {
  name: 'Cine body A, Super 35',
  software: '4.2',
  modes: [
    { id: 'wide', name: 'Wide, 4.6K', sensorWidthMm: 24.9, sensorHeightMm: 14, photositesWide: 4608, fastestFps: 60 },
    { id: 'tall', name: 'Open gate, 4.6K', sensorWidthMm: 24.9, sensorHeightMm: 18.7, photositesWide: 4608, fastestFps: 40 },
    {
      id: 'fast',
      name: 'Fast, cropped to 2.8K',
      sensorWidthMm: 15.1,
      sensorHeightMm: 8.5,
      photositesWide: 2800,
      fastestFps: 150,
    },
  ],
  steadying: [],
  frameRates: [23.976, 24, 25, 48, 50, 60, 100, 150],
  baseIsos: [800, 3200],
  displays: ['Side screen', 'Finder', 'Puller’s monitor'],
  automaticAreaPercent: null,
  tests: [
    ['magnify', 'Side screen', true, 'two levels'],
    ['outlines', 'Side screen', true, ''],
    ['magnify-while-rolling', 'Side screen', false, 'goes back to the full view when it rolls'],
    ['focus-while-rolling', 'Side screen', true, ''],
    ['magnify', 'Finder', true, ''],
    ['outlines', 'Finder', false, 'only on the screens'],
    ['magnify-while-rolling', 'Puller’s monitor', true, 'in the monitor itself'],
    ['outlines', 'Puller’s monitor', true, 'in the monitor itself'],
    ['unsqueeze', 'Puller’s monitor', true, ''],
  ].map(([aid, display, works, note]) => ({
    aid: aid as KitCamera['tests'][number]['aid'],
    display: String(display),
    modeId: 'wide',
    works: works === true,
    note: String(note),
    testedOn: DEMO_DAY,
    testedBy: 'Maren',
    software: '4.2',
  })),
  retestAfterDays: 180,
  notes: 'Magnify is on the second button under the screen. Peaking: page 3 of the screen’s menu.',
};

const bodyB: KitCamera = {
  name: 'Small body B, full frame',
  software: '1.9',
  modes: [
    { id: 'full', name: 'Full width', sensorWidthMm: 36, sensorHeightMm: 20.25, photositesWide: 6144, fastestFps: 30 },
    { id: 'crop', name: 'Cropped', sensorWidthMm: 24, sensorHeightMm: 13.5, photositesWide: 4096, fastestFps: 60 },
  ],
  steadying: [
    { id: 'some', name: 'standard', cropPercent: 9 },
    { id: 'more', name: 'strong', cropPercent: 18 },
  ],
  frameRates: [24, 25, 30, 50, 60],
  baseIsos: [640, 12_800],
  displays: ['Rear screen'],
  automaticAreaPercent: 80,
  tests: [
    {
      aid: 'magnify-while-rolling',
      display: 'Rear screen',
      modeId: 'full',
      works: false,
      note: '',
      testedOn: DEMO_DAY,
      testedBy: 'Bohdan',
      software: '1.8',
    },
    {
      aid: 'automatic-rolling',
      display: 'Rear screen',
      modeId: 'full',
      works: true,
      note: '',
      testedOn: DEMO_DAY,
      testedBy: 'Bohdan',
      software: '1.9',
    },
  ],
  retestAfterDays: 90,
  notes: '',
};

const own = (lens: KitLens['lens'], rest: Partial<KitLens> = {}): KitLens => ({
  lens,
  isHired: false,
  holdTestedOn: '',
  holdTestedBy: '',
  notes: '',
  ...rest,
});

/** A taped scale: near the helicoid to half a degree, with the slight irregularity of real rings. */
function taped(focalLengthMm: number, closeFocusMm: number, focusThrowDeg: number, distancesMm: readonly number[]): RingPoint[] {
  const ring = lensRing({ kind: 'helicoid', focalLengthMm, focusThrowDeg, closeFocusMm });
  const points = distancesMm.map((distanceMm, k): RingPoint => {
    const wave = 0.004 * focusThrowDeg * Math.sin(2 * k);
    return { distanceMm, ringDeg: Math.round(2 * (ring.angleAt(distanceMm) + wave)) / 2 };
  });
  return [{ distanceMm: null, ringDeg: 0 }, ...points, { distanceMm: closeFocusMm, ringDeg: focusThrowDeg }];
}

const prime = (focalLengthMm: number, widestStop: number, closeFocusMm: number, focusThrowDeg: number) =>
  defaultLens({
    name: `${focalLengthMm} mm T${widestStop}`,
    focalLengthMm,
    widestStop,
    widestStopLong: widestStop,
    closeFocusMm,
    ring: { kind: 'helicoid', focusThrowDeg },
    autofocus: 'no-motor',
    frontDiameterMm: 95,
    ringDiameterMm: 84,
    gear: 'pitch 0.8, 130 teeth',
  });

const lenses: readonly KitLens[] = [
  own(prime(28, 2.2, 300, 270)),
  own(prime(32, 2.2, 350, 270)),
  own(
    {
      ...prime(65, 2.2, 650, 280),
      ring: { kind: 'table', points: taped(65, 650, 280, [12_000, 6000, 4000, 3000, 2400, 2000, 1600, 1300, 1000, 800]) },
      breathingPercent: 2.5,
    },
    { notes: 'Taped with Ines in the loft, both ends and ten marks.' },
  ),
  own(prime(75, 2.2, 750, 280)),
  own(prime(135, 2.5, 1000, 300)),
  own(
    defaultLens({
      name: 'Zoom 25–100 mm T2.9',
      focalLengthMm: 25,
      longestMm: 100,
      widestStop: 2.9,
      widestStopLong: 3.4,
      closeFocusMm: 900,
      ring: { kind: 'helicoid', focusThrowDeg: 300 },
      holdsFocus: 'holds',
      frontDiameterMm: 114,
      ringDiameterMm: 104,
      gear: 'pitch 0.8, 164 teeth',
    }),
    { isHired: true, holdTestedOn: DEMO_DAY, holdTestedBy: 'Maren' },
  ),
  own(
    defaultLens({
      name: '50 mm T2.3, squeezes 1.5',
      focalLengthMm: 50,
      widestStop: 2.3,
      closeFocusMm: 850,
      squeeze: 1.5,
      ring: { kind: 'helicoid', focusThrowDeg: 320 },
      breathingPercent: -4,
      frontDiameterMm: 114,
      ringDiameterMm: 98,
      gear: 'pitch 0.8, 154 teeth',
    }),
    { isHired: true },
  ),
  own(
    defaultLens({
      name: 'Stills zoom 24–70 mm f/2.8',
      focalLengthMm: 24,
      longestMm: 70,
      stopScale: 'f',
      widestStop: 2.8,
      narrowestStop: 16,
      closeFocusMm: 380,
      ring: { kind: 'helicoid', focusThrowDeg: 120 },
      nearerTurns: 'anticlockwise',
      response: 'speed',
      reportsData: true,
      autofocus: 'works',
      frontDiameterMm: 82,
      ringDiameterMm: 80,
    }),
    { notes: 'The ring answers to speed unless the body is set otherwise.' },
  ),
];

/** The ring of the longest prime was calibrated again after its shot was planned, so the shot reports a change. */
const lens135Now: KitLens = {
  ...lenses[4]!,
  lens: {
    ...lenses[4]!.lens,
    ring: { kind: 'table', points: taped(135, 1000, 306, [10_000, 5000, 3000, 2200, 1700, 1400, 1200]) },
  },
  notes: 'Read again after its service: the throw is six degrees longer.',
};

const wheels: readonly Wheel[] = [
  defaultWheel({ name: 'Hand wheel, gear 1.0', hasEndStops: true }),
  defaultWheel({ name: 'Hand wheel, gear 1.6', wheelPerRing: 1.6, turns: 'opposite', hasEndStops: true }),
  defaultWheel({
    name: 'Motor with hand unit',
    kind: 'motor',
    wheelPerRing: 1.2,
    discDiameterMm: 62,
    comfortableDeg: 300,
    fastestDegPerS: 540,
    hasEndStops: true,
  }),
];

const complete = (rig: Rig, missing: readonly string[] = []): Rig => ({
  ...rig,
  parts: rig.parts.map((part) => ({ ...part, isThere: !missing.includes(part.name) })),
});

const rigs: readonly Rig[] = [
  complete({ ...presetRig('On legs', 'legs', 'alone'), display: 'Side screen', displayInches: 5, weightKg: 7.5 }),
  complete({
    ...presetRig('Dolly with a puller', 'dolly', 'puller'),
    display: 'Puller’s monitor',
    displayInches: 7,
    weightKg: 12,
  }),
  complete({
    ...presetRig('Palm and fingers', 'palm-and-fingers', 'alone'),
    display: 'Rear screen',
    displayInches: 3,
    weightKg: 1.6,
  }),
  complete(
    {
      ...presetRig('Stabiliser by remote', 'stabiliser', 'remote'),
      display: 'Puller’s monitor',
      displayInches: 7,
      weightKg: 4.2,
    },
    ['batteries'],
  ),
];

export const DEMO_KIT = { cameras: [bodyA, bodyB], lenses, wheels, rigs } as const;

/** Kit items that change after the shots are planned. */
export const KIT_CHANGES_AFTER_PLANNING = lens135Now;

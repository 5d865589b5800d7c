import fc from 'fast-check';
import { aidMatrix } from './aidTests';
import { cameraInMode, type KitCamera } from './kitCamera';
import { checkKitItem, KIT_KINDS, type KitItems, type KitKind, kitName } from './checkKit';
import { missingParts, presetRig } from './rig';
import { defaultLens, ringOf, stopsAt } from './lens';
import { defaultWheel } from './wheel';

const camera: KitCamera = {
  name: 'Cine body A',
  software: '2.1',
  modes: [
    { id: 'open', name: 'Open gate', sensorWidthMm: 27, sensorHeightMm: 18, photositesWide: 5120, fastestFps: 60 },
    { id: 'fast', name: 'Fast', sensorWidthMm: 18, sensorHeightMm: 10, photositesWide: 2880, fastestFps: 180 },
  ],
  steadying: [{ id: 'strong', name: 'strong', cropPercent: 20 }],
  frameRates: [24, 25],
  baseIsos: [800],
  displays: ['rear screen', 'finder'],
  automaticAreaPercent: 80,
  tests: [
    {
      aid: 'magnify',
      display: 'finder',
      modeId: 'open',
      works: true,
      note: '',
      testedOn: '2026-09-14',
      testedBy: 'Maren',
      software: '2.1',
    },
  ],
  retestAfterDays: 90,
  notes: '',
};
const ITEMS: { readonly [K in KitKind]: KitItems[K] } = {
  cameras: camera,
  lenses: {
    lens: defaultLens({
      name: '65 mm T2.2',
      focalLengthMm: 65,
      closeFocusMm: 650,
      ring: {
        kind: 'table',
        points: [
          { distanceMm: null, ringDeg: 0 },
          { distanceMm: 2000, ringDeg: 120 },
          { distanceMm: 650, ringDeg: 280 },
        ],
      },
    }),
    isHired: false,
    holdTestedOn: '',
    holdTestedBy: '',
    notes: '',
  },
  wheels: defaultWheel({ name: 'Hand wheel' }),
  rigs: presetRig('On legs', 'legs', 'puller'),
};

/** The item with one value put at a path, as bad input would bring it. */
function put(item: unknown, path: string, value: unknown): unknown {
  const copy = JSON.parse(JSON.stringify(item)) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
  if (value === undefined) delete holder[last];
  else holder[last] = value;
  return copy;
}

test.each(KIT_KINDS.map((kind) => [kind]))('%s that are right pass, also after a trip through JSON', (kind) => {
  expect(checkKitItem(kind, ITEMS[kind])).toEqual([]);
  expect(checkKitItem(kind, JSON.parse(JSON.stringify(ITEMS[kind])))).toEqual([]);
  expect(kitName(kind, ITEMS[kind])).toMatch(/\w/);
});

test.each<[KitKind, string, unknown, string, string]>([
  ['cameras', 'name', '', 'too-short', 'text of 1 to 80 characters'],
  ['cameras', 'name', 'x'.repeat(81), 'too-long', 'text of 1 to 80 characters'],
  ['cameras', 'modes', 'all', 'not-a-list', 'a list'],
  ['cameras', 'modes', [], 'too-few', 'at least 1'],
  ['cameras', 'modes.0.sensorWidthMm', 0, 'out-of-range', 'a number from 2 to 120'],
  ['cameras', 'modes.0.photositesWide', 4000.5, 'not-whole', 'a whole number from 320 to 24000'],
  ['cameras', 'modes.1.id', 'open', 'twice', 'each once'],
  [
    'cameras',
    'modes.0.colour',
    'red',
    'unknown-field',
    'only id, name, sensorWidthMm, sensorHeightMm, photositesWide, fastestFps',
  ],
  ['cameras', 'steadying.0.cropPercent', 90, 'out-of-range', 'a number from 0 to 60'],
  ['cameras', 'frameRates', [24, 24], 'twice', 'each once'],
  ['cameras', 'frameRates', [0], 'out-of-range', 'a number from 1 to 1000'],
  ['cameras', 'baseIsos', [800, 800], 'twice', 'each once'],
  ['cameras', 'displays', ['a', 'a'], 'twice', 'each once'],
  ['cameras', 'displays', new Array(9).fill('x'), 'too-many', 'at most 8'],
  ['cameras', 'automaticAreaPercent', 120, 'out-of-range', 'a number from 1 to 100'],
  ['cameras', 'tests.0.aid', 'telepathy', 'not-a-choice', 'magnify, outlines, focus-while-rolling'],
  ['cameras', 'tests.0.works', 'yes', 'not-yes-or-no', 'true or false'],
  ['cameras', 'retestAfterDays', -1, 'out-of-range', 'a whole number from 0 to 3650'],
  ['cameras', 'retestAfterDays', 1.5, 'not-whole', 'a whole number from 0 to 3650'],
  ['cameras', 'notes', undefined, 'missing-field', 'a value for it'],
  ['lenses', 'lens', null, 'not-an-object', 'an object with name, focalLengthMm'],
  ['lenses', 'isHired', 0, 'not-yes-or-no', 'true or false'],
  ['lenses', 'lens.focalLengthMm', NaN, 'not-a-number', 'a number from 4 to 1200'],
  ['lenses', 'lens.focalLengthMm', 2000, 'out-of-range', 'a number from 4 to 1200'],
  ['lenses', 'lens.stopScale', 't', 'not-a-choice', 'T or f'],
  ['lenses', 'lens.widestStop', 0, 'out-of-range', 'a number from 0.5 to 64'],
  ['lenses', 'lens.narrowestStop', 1, 'stops-swapped', 'the smaller number as the widest'],
  ['lenses', 'lens.transmittance', 1.1, 'out-of-range', 'a number from 0.3 to 1'],
  ['lenses', 'lens.squeeze', 0.5, 'out-of-range', 'a number from 1 to 2'],
  ['lenses', 'lens.breathingPercent', 80, 'out-of-range', 'a number from -30 to 30'],
  ['lenses', 'lens.nearerTurns', 'left', 'not-a-choice', 'clockwise or anticlockwise'],
  ['lenses', 'lens.response', 'steps', 'no-steps', 'how many presses'],
  ['lenses', 'lens.holdsFocus', true, 'not-a-choice', 'untested, holds or drifts'],
  ['lenses', 'lens.frontDiameterMm', 'wide', 'not-a-number', 'a number from 20 to 400'],
  ['lenses', 'lens.ring', { kind: 'spiral' }, 'not-a-choice', 'helicoid or table'],
  ['lenses', 'lens.ring.points.1.distanceMm', -4, 'out-of-range', 'a number from 20 to 10000000'],
  ['lenses', 'lens.ring.points.1.ringDeg', 300, 'turns-back', 'an angle'],
  ['lenses', 'lens.ring.points.1.distanceMm', 650, 'distance-twice', 'each distance once'],
  ['lenses', 'lens.ring.points.2.distanceMm', 200, 'closer-than-life-size', 'at least 260'],
  ['lenses', 'lens.ring.points', [], 'too-few-points', 'at least 2'],
  ['wheels', 'kind', 'crank', 'not-a-choice', 'wheel or motor'],
  ['wheels', 'wheelPerRing', -1, 'out-of-range', 'a number from 0.1 to 10'],
  ['wheels', 'turns', 'both', 'not-a-choice', 'same or opposite'],
  ['wheels', 'discDiameterMm', 5, 'out-of-range', 'a number from 20 to 300'],
  ['wheels', 'comfortableDeg', 720, 'out-of-range', 'a number from 20 to 360'],
  ['wheels', 'fastestDegPerS', 0, 'out-of-range', 'a number from 10 to 5000'],
  ['wheels', 'hasEndStops', null, 'not-yes-or-no', 'true or false'],
  ['rigs', 'support', 'kite', 'not-a-choice', 'legs, slider, dolly'],
  ['rigs', 'puller', 'nobody', 'not-a-choice', 'alone, puller or remote'],
  ['rigs', 'weightKg', 0, 'out-of-range', 'a number from 0.1 to 200'],
  ['rigs', 'displayInches', 900, 'out-of-range', 'a number from 1 to 100'],
  ['rigs', 'parts.0.isThere', 'yes', 'not-yes-or-no', 'true or false'],
  ['rigs', 'parts.0.name', 7, 'not-text', 'text of 1 to 80 characters'],
  ['rigs', 'notes', 'a\0b', 'bad-characters', 'plain text'],
])('%s with %s = %j: %s', (kind, path, value, code, need) => {
  const [problem] = checkKitItem(kind, put(ITEMS[kind], path, value));
  expect(problem!.code).toBe(code);
  expect(problem!.need).toContain(need);
});

test('whatever is put anywhere in an item is refused by name, or makes one that can be used; nothing throws, nothing becomes NaN', () => {
  const paths = (value: unknown, at: string): string[] =>
    typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, inner]) => [`${at}${key}`, ...paths(inner, `${at}${key}.`)])
      : [];
  const anything = fc.oneof(
    fc.constantFrom<unknown>(null, undefined, NaN, Infinity, -1, 0, 1e308, '', 'text', '\ud800', [], {}, true, [null], 'T'),
    fc.double({ noNaN: true }),
    fc.integer({ min: -3000, max: 3000 }),
    fc.string(),
    fc.object({ maxDepth: 1 }),
  );
  for (const kind of KIT_KINDS) {
    const all = paths(ITEMS[kind], '');
    fc.assert(
      fc.property(fc.constantFrom(...all), anything, (path, value) => {
        const item = put(ITEMS[kind], path, value);
        const problems = checkKitItem(kind, item);
        for (const problem of problems)
          for (const part of [problem.code, problem.message, problem.need]) expect(part).toMatch(/./);
        if (problems.length === 0) use(kind, item);
      }),
      { seed: 47, numRuns: 400 },
    );
  }
});

/** What passed the check must do what kit is for. */
function use(kind: KitKind, item: unknown): void {
  if (kind === 'lenses') {
    const { lens } = item as KitItems['lenses'];
    const ring = ringOf(lens);
    expect(ring.throwDeg).toBeGreaterThan(0);
    expect(ring.distanceAt(ring.angleAt(ring.closeFocusMm)) / ring.closeFocusMm).toBeCloseTo(1, 6);
    expect(stopsAt(lens, lens.focalLengthMm).every(Number.isFinite)).toBe(true);
  }
  if (kind === 'cameras') {
    const body = item as KitCamera;
    expect(cameraInMode(body, 'open', 'strong').sensorWidthMm).toBeGreaterThan(0);
    expect(aidMatrix(body, '2026-11-25')).toHaveLength(body.displays.length * body.modes.length * 9);
  }
  if (kind === 'rigs') expect(missingParts(item as KitItems['rigs']).length).toBeLessThanOrEqual(60);
}

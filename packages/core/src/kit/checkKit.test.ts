import fc from 'fast-check';
import { aidMatrix } from './aidTests';
import { cameraInMode, type KitCamera } from './kitCamera';
import { checkKitItem, KIT_KINDS, type KitItems, type KitKind, kitName } from './checkKit';
import { missingParts, presetRig } from './rig';
import { defaultLens, ringOf, stopsAt } from './lens';
import { defaultWheel } from './wheel';
import { caseCount } from '../../test/caseCount';

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

test.each<[KitKind, string, unknown, string, object]>([
  ['cameras', 'name', '', 'too-short', { min: 1, max: 80 }],
  ['cameras', 'name', 'x'.repeat(81), 'too-long', { min: 1, max: 80 }],
  ['cameras', 'modes', 'all', 'not-a-list', {}],
  ['cameras', 'modes', [], 'too-few', { min: 1 }],
  ['cameras', 'modes.0.sensorWidthMm', 0, 'out-of-range', { min: 2, max: 120 }],
  ['cameras', 'modes.0.photositesWide', 4000.5, 'not-whole', { min: 320, max: 24000, isWhole: true }],
  ['cameras', 'modes.1.id', 'open', 'twice', {}],
  [
    'cameras',
    'modes.0.colour',
    'red',
    'unknown-field',
    { fields: ['id', 'name', 'sensorWidthMm', 'sensorHeightMm', 'photositesWide', 'fastestFps'] },
  ],
  ['cameras', 'steadying.0.cropPercent', 90, 'out-of-range', { min: 0, max: 60 }],
  ['cameras', 'frameRates', [24, 24], 'twice', {}],
  ['cameras', 'frameRates', [0], 'out-of-range', { min: 1, max: 1000 }],
  ['cameras', 'baseIsos', [800, 800], 'twice', {}],
  ['cameras', 'displays', ['a', 'a'], 'twice', {}],
  ['cameras', 'displays', new Array(9).fill('x'), 'too-many', { max: 8 }],
  ['cameras', 'automaticAreaPercent', 120, 'out-of-range', { min: 1, max: 100 }],
  [
    'cameras',
    'tests.0.aid',
    'telepathy',
    'not-a-choice',
    { choices: expect.arrayContaining(['magnify', 'outlines', 'focus-while-rolling']) },
  ],
  ['cameras', 'tests.0.works', 'yes', 'not-yes-or-no', {}],
  ['cameras', 'retestAfterDays', -1, 'out-of-range', { min: 0, max: 3650, isWhole: true }],
  ['cameras', 'retestAfterDays', 1.5, 'not-whole', { min: 0, max: 3650, isWhole: true }],
  ['cameras', 'notes', undefined, 'missing-field', {}],
  ['lenses', 'lens', null, 'not-an-object', { fields: expect.arrayContaining(['name', 'focalLengthMm']) }],
  ['lenses', 'isHired', 0, 'not-yes-or-no', {}],
  ['lenses', 'lens.focalLengthMm', NaN, 'not-a-number', { min: 4, max: 1200 }],
  ['lenses', 'lens.focalLengthMm', 2000, 'out-of-range', { min: 4, max: 1200 }],
  ['lenses', 'lens.stopScale', 't', 'not-a-choice', { choices: ['T', 'f'] }],
  ['lenses', 'lens.widestStop', 0, 'out-of-range', { min: 0.5, max: 64 }],
  ['lenses', 'lens.narrowestStop', 1, 'stops-swapped', {}],
  ['lenses', 'lens.transmittance', 1.1, 'out-of-range', { min: 0.3, max: 1 }],
  ['lenses', 'lens.squeeze', 0.5, 'out-of-range', { min: 1, max: 2 }],
  ['lenses', 'lens.breathingPercent', 80, 'out-of-range', { min: -30, max: 30 }],
  ['lenses', 'lens.nearerTurns', 'left', 'not-a-choice', { choices: ['clockwise', 'anticlockwise'] }],
  ['lenses', 'lens.response', 'steps', 'no-steps', {}],
  ['lenses', 'lens.holdsFocus', true, 'not-a-choice', { choices: ['untested', 'holds', 'drifts'] }],
  ['lenses', 'lens.frontDiameterMm', 'wide', 'not-a-number', { min: 20, max: 400 }],
  ['lenses', 'lens.ring', { kind: 'spiral' }, 'not-a-choice', { choices: ['helicoid', 'table', 'fitted'] }],
  ['lenses', 'lens.ring.points.1.distanceMm', -4, 'out-of-range', { min: 20, max: 10000000 }],
  ['lenses', 'lens.ring.points.1.ringDeg', 300, 'turns-back', {}],
  ['lenses', 'lens.ring.points.1.distanceMm', 650, 'distance-twice', {}],
  ['lenses', 'lens.ring.points.2.distanceMm', 200, 'closer-than-life-size', { min: 260 }],
  ['lenses', 'lens.ring.points', [], 'too-few', { min: 2 }],
  ['wheels', 'kind', 'crank', 'not-a-choice', { choices: ['wheel', 'motor'] }],
  ['wheels', 'wheelPerRing', -1, 'out-of-range', { min: 0.1, max: 10 }],
  ['wheels', 'turns', 'both', 'not-a-choice', { choices: ['same', 'opposite'] }],
  ['wheels', 'discDiameterMm', 5, 'out-of-range', { min: 20, max: 300 }],
  ['wheels', 'comfortableDeg', 720, 'out-of-range', { min: 20, max: 360 }],
  ['wheels', 'fastestDegPerS', 0, 'out-of-range', { min: 10, max: 5000 }],
  ['wheels', 'hasEndStops', null, 'not-yes-or-no', {}],
  ['rigs', 'support', 'kite', 'not-a-choice', { choices: expect.arrayContaining(['legs', 'slider', 'dolly']) }],
  ['rigs', 'puller', 'nobody', 'not-a-choice', { choices: ['alone', 'puller', 'remote'] }],
  ['rigs', 'weightKg', 0, 'out-of-range', { min: 0.1, max: 200 }],
  ['rigs', 'displayInches', 900, 'out-of-range', { min: 1, max: 100 }],
  ['rigs', 'parts.0.isThere', 'yes', 'not-yes-or-no', {}],
  ['rigs', 'parts.0.name', 7, 'not-text', { min: 1, max: 80 }],
  ['rigs', 'notes', 'a\0b', 'bad-characters', {}],
])('%s with %s = %j: %s', (kind, path, value, code, values) => {
  const [problem] = checkKitItem(kind, put(ITEMS[kind], path, value));
  expect(problem).toMatchObject({ code, values });
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
          expect([problem.code, problem.values]).toEqual([expect.stringMatching(/./), expect.any(Object)]);
        if (problems.length === 0) use(kind, item);
      }),
      { seed: 47, numRuns: caseCount(400) },
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

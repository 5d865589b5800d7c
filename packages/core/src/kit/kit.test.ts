import { type AidTest, cameraInMode, type KitCamera, modesForRate, offersRate } from './kitCamera';
import { upgradeKitItem } from './upgradeKit';
import { aidMatrix, nextAidTest, withAidTest, withoutAidTest } from './aidTests';
import { breathingBetween, fNumberOf, defaultLens, stopOfFNumber, stopsAt, tStopOf, widestStopAt } from './lens';
import { cameraOf, circleMm, pictureSize } from './camera';
import { checkKitItem } from './checkKit';
import { FORMATS } from './formats';
import { missingParts, presetRig, SUPPORTS } from './rig';
import { type Wheel, wheelDegOf, wheelNearerTurns } from './wheel';

const lens65 = defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, closeFocusMm: 650 });

const camera: KitCamera = {
  name: 'Cine body A',
  software: '2.1',
  modes: [
    { id: 'open', name: 'Open gate', sensorWidthMm: 27, sensorHeightMm: 18, photositesWide: 5120, fastestFps: 60 },
    { id: 'fast', name: 'Fast, cropped', sensorWidthMm: 18, sensorHeightMm: 10, photositesWide: 2880, fastestFps: 180 },
  ],
  steadying: [{ id: 'strong', name: 'strong', cropPercent: 20 }],
  frameRates: [24, 25, 50],
  baseIsos: [800],
  displays: ['rear screen', 'finder'],
  automaticAreaPercent: 80,
  tests: [],
  retestAfterDays: 90,
  notes: '',
};

describe('a camera', () => {
  test('in a mode with steadying: the circle shrinks with the crop by the diagonal, and not by photosites', () => {
    const steadied = cameraInMode(camera, 'open', 'strong');
    expect(pictureSize(steadied)).toEqual({ sensorWidthMm: 21.6, sensorHeightMm: 14.4 });
    expect(circleMm(steadied, { kind: 'diagonal', divisor: 1500 })).toBeCloseTo((0.8 * Math.hypot(27, 18)) / 1500, 12);
    expect(circleMm(steadied, { kind: 'photosite', count: 2 })).toBeCloseTo((2 * 27) / 5120, 12);
    expect(circleMm(steadied, { kind: 'viewer', viewingDistancePictureHeights: 3 })).toBeCloseTo(
      14.4 * 3 * Math.tan(Math.PI / 10800),
      12,
    );
    expect(cameraInMode(camera, 'fast', null)).toMatchObject({
      mode: 'Fast, cropped',
      sensorWidthMm: 18,
      steadyingCropPercent: 0,
    });
    expect(cameraInMode(camera, 'gone', 'gone').mode).toBe('Open gate');
    expect(cameraOf(FORMATS[0]!)).toMatchObject({ name: 'Super 8', mode: '' });
  });

  test('a picture that is enlarged later has a smaller circle for a viewer, and the same by photosites', () => {
    const whole = cameraInMode(camera, 'open', null);
    const ratio = (sharpness: Parameters<typeof circleMm>[1]) => circleMm(whole, sharpness, 25) / circleMm(whole, sharpness);
    expect(ratio({ kind: 'diagonal', divisor: 1500 })).toBeCloseTo(0.8, 12);
    expect(ratio({ kind: 'viewer', viewingDistancePictureHeights: 3 })).toBeCloseTo(0.8, 12);
    expect(ratio({ kind: 'photosite', count: 2 })).toBe(1);
  });

  test('takes along what its figures and tests say of rates and autofocus', () => {
    const test = {
      aid: 'automatic-rolling',
      display: 'finder',
      modeId: 'open',
      note: '',
      testedOn: '',
      testedBy: '',
      software: '',
    } as const;
    const failed = { ...camera, tests: [{ ...test, works: false }] };
    expect(cameraInMode(camera, 'open', null)).toMatchObject({
      fastestFps: 60,
      frameRates: [24, 25, 50],
      autofocusAreaPercent: 80,
      autofocusRolling: 'untested',
    });
    expect(cameraInMode(failed, 'open', null).autofocusRolling).toBe('no');
    expect(cameraInMode(failed, 'fast', null).autofocusRolling).toBe('untested');
    const onOther = { ...failed, tests: [...failed.tests, { ...test, display: 'rear screen', works: true }] };
    expect(cameraInMode(onOther, 'open', null).autofocusRolling).toBe('yes');
  });

  test('a rate that the mode is too slow for names the modes that are not, and the nearest rate of this one', () => {
    const fast = { ...camera, frameRates: [24, 25, 50, 120] };
    expect(modesForRate(fast, 'open', 120)).toMatchObject({ isOffered: false, modes: [{ id: 'fast' }], nearestFps: 50 });
    expect(modesForRate(fast, 'fast', 120)).toMatchObject({ isOffered: true });
    expect(modesForRate(fast, 'open', 23.976)).toMatchObject({ isOffered: true });
    expect(modesForRate(fast, 'open', 30)).toMatchObject({ isOffered: false, modes: [], nearestFps: 25 });
    expect(modesForRate({ ...camera, frameRates: [] }, 'open', 90)).toMatchObject({ modes: [{ id: 'fast' }], nearestFps: 60 });
    expect(offersRate({ fastestFps: null, frameRates: [] }, 1000)).toBe(true);
  });

  test('a lens of an earlier version is untested for autofocus; what is no lens stays as it is', () => {
    const { autofocus: _, ...old } = lens65;
    const item = { lens: old, isHired: false, holdTestedOn: '', holdTestedBy: '', notes: '' };
    expect(checkKitItem('lenses', item).map(({ path }) => path)).toEqual(['lens.autofocus']);
    expect(checkKitItem('lenses', upgradeKitItem('lenses', item))).toEqual([]);
    for (const broken of [null, 7, {}, { lens: 3 }]) expect(upgradeKitItem('lenses', broken)).toBe(broken);
  });

  test('is tested cell by cell; an answer falls due with other software or with age', () => {
    const answer: AidTest = {
      aid: 'magnify',
      display: 'rear screen',
      modeId: 'open',
      works: true,
      note: '',
      testedOn: '2026-09-01',
      testedBy: 'Maren',
      software: '2.1',
    };
    const tested = withAidTest(camera, answer);
    const cellOf = (body: KitCamera, today: string) => aidMatrix(body, today).find(({ aid }) => aid === 'magnify');
    expect(aidMatrix(camera, '2026-09-02')).toHaveLength(2 * 2 * 9);
    expect(cellOf(tested, '2026-09-30')).toMatchObject({ answer: 'yes', retest: null });
    expect(cellOf(tested, '2026-12-24')).toMatchObject({ answer: 'yes', retest: 'old' });
    expect(cellOf({ ...tested, retestAfterDays: 0 }, '2036-01-01')).toMatchObject({ retest: null });
    expect(cellOf({ ...tested, software: '3.0' }, '2026-09-02')).toMatchObject({ retest: 'other-software' });
    expect(withAidTest(tested, { ...answer, works: false }).tests).toHaveLength(1);
    expect(withoutAidTest(tested, answer).tests).toEqual([]);
    expect(nextAidTest(tested, '2026-09-02')).toMatchObject({ display: 'rear screen', modeId: 'open', aid: 'outlines' });
  });

  test('the guide comes to an end once everything stands', () => {
    let body = camera;
    let asked = 0;
    for (let cell = nextAidTest(body, '2026-09-02'); cell; cell = nextAidTest(body, '2026-09-02', cell)) {
      asked++;
      body = withAidTest(body, { ...cell, works: false, note: '', testedOn: '2026-09-02', testedBy: '', software: '2.1' });
    }
    expect(asked).toBe(36);
    expect(aidMatrix(body, '2026-09-02').every(({ answer }) => answer === 'no')).toBe(true);
  });
});

describe('a lens', () => {
  const zoom = defaultLens({
    name: 'Zoom',
    focalLengthMm: 25,
    longestMm: 100,
    widestStop: 2.8,
    widestStopLong: 4,
    closeFocusMm: 900,
  });

  test('a zoom’s widest stop goes from one end to the other', () => {
    expect(widestStopAt(zoom, 25)).toBe(2.8);
    expect(widestStopAt(zoom, 50)).toBeCloseTo(Math.sqrt(2.8 * 4), 12);
    expect(widestStopAt(zoom, 100)).toBeCloseTo(4, 12);
    expect(widestStopAt(lens65, 65)).toBe(2.2);
  });

  test('the stops on offer begin where the zoom stands', () => {
    expect(stopsAt(zoom, 25).slice(0, 3)).toEqual([2.8, 3.2, 3.5]);
    expect(stopsAt(zoom, 50)[0]).toBeCloseTo(Math.sqrt(2.8 * 4), 12);
  });

  test('breathing is whole from infinity to close focus, goes both ways, and is none for most lenses', () => {
    const breathes = { ...lens65, breathingPercent: 3 };
    expect(breathingBetween(breathes, Infinity, 650)).toBeCloseTo(3, 12);
    expect(breathingBetween(breathes, 650, Infinity)).toBeCloseTo(-3, 12);
    expect(breathingBetween(breathes, 4000, 1000)).toBeGreaterThan(0.5);
    expect(breathingBetween(breathes, 650, 100)).toBe(0);
    expect(breathingBetween(lens65, Infinity, 650)).toBe(0);
  });

  test('a lens with a scale of its own breathes over that scale, whatever its close focus says', () => {
    // closer than life size by the figures, which a scale makes meaningless
    const points = [
      { distanceMm: 700, ringDeg: 270 },
      { distanceMm: 2000, ringDeg: 90 },
      { distanceMm: null, ringDeg: 0 },
    ];
    const scaled = { ...lens65, breathingPercent: 3, closeFocusMm: 150, ring: { kind: 'table' as const, points } };
    expect(checkKitItem('lenses', { lens: scaled, isHired: false, holdTestedOn: '', holdTestedBy: '', notes: '' })).toEqual([]);
    expect(breathingBetween(scaled, Infinity, 700)).toBeCloseTo(3, 12);
    expect(breathingBetween(scaled, 150, 700)).toBe(0);
  });

  test('T for light, geometry for depth, and back', () => {
    expect(fNumberOf(lens65, 4)).toBeCloseTo(4 * Math.sqrt(0.85), 12);
    expect(stopOfFNumber(lens65, fNumberOf(lens65, 4))).toBeCloseTo(4, 12);
    const inF = { ...lens65, stopScale: 'f' as const };
    expect([fNumberOf(inF, 4), stopOfFNumber(inF, 4), tStopOf(lens65, 4)]).toEqual([4, 4, 4]);
    expect(tStopOf(inF, 4)).toBeCloseTo(4 / Math.sqrt(0.85), 12);
  });

  test.each([
    [{ longestMm: 300, widestStopLong: 4 }, 'closer-than-life-size', 'lens.closeFocusMm'],
    [{ longestMm: 20, widestStopLong: 2.8 }, 'zoom-swapped', 'lens.longestMm'],
    [{ widestStopLong: 64 }, 'stops-swapped', 'lens.widestStopLong'],
    [{ response: 'steps' as const }, 'no-steps', 'lens.stepCount'],
    [{ ring: { kind: 'table' as const, points: [{ distanceMm: 900, ringDeg: 1 }] } }, 'too-few', 'lens.ring.points'],
    [{ squeeze: 3 }, 'out-of-range', 'lens.squeeze'],
  ])('%j is refused: %s', (changes, code, path) => {
    const item = { lens: { ...zoom, ...changes }, isHired: false, holdTestedOn: '', holdTestedBy: '', notes: '' };
    expect(checkKitItem('lenses', { ...item, lens: zoom })).toEqual([]);
    expect(checkKitItem('lenses', item)).toMatchObject([{ code, path }]);
  });
});

describe('wheels and rigs', () => {
  const wheel: Wheel = {
    name: 'Wheel',
    kind: 'wheel',
    wheelPerRing: 1.5,
    turns: 'opposite',
    discDiameterMm: 90,
    hasEndStops: true,
    comfortableDeg: 160,
    fastestDegPerS: null,
    notes: '',
  };

  test('ring to wheel, and which way', () => {
    expect([wheelDegOf(wheel, 20), wheelDegOf(null, 20)]).toEqual([30, 20]);
    expect([
      wheelNearerTurns(wheel, 'clockwise'),
      wheelNearerTurns(wheel, 'anticlockwise'),
      wheelNearerTurns(null, 'clockwise'),
    ]).toEqual(['anticlockwise', 'clockwise', 'clockwise']);
    expect(checkKitItem('wheels', wheel)).toEqual([]);
    expect(checkKitItem('wheels', { ...wheel, wheelPerRing: 0 })).toMatchObject([{ path: 'wheelPerRing', code: 'out-of-range' }]);
  });

  test('every preset has parts, each once, none there yet, and can be stored', () => {
    for (const support of SUPPORTS) {
      const rig = presetRig('Rig', support, 'remote');
      expect(missingParts(rig).length).toBeGreaterThan(3);
      expect(new Set(missingParts(rig)).size).toBe(rig.parts.length);
      expect(checkKitItem('rigs', rig)).toEqual([]);
    }
  });

  test('a camera without a mode, or with the same display twice, is refused', () => {
    expect(checkKitItem('cameras', camera)).toEqual([]);
    expect(checkKitItem('cameras', { ...camera, modes: [] })).toMatchObject([{ code: 'too-few', path: 'modes' }]);
    expect(checkKitItem('cameras', { ...camera, displays: ['finder', 'finder'] })).toMatchObject([
      { code: 'twice', path: 'displays[1]' },
    ]);
    expect(checkKitItem('cameras', null)).toMatchObject([{ code: 'not-an-object' }]);
  });
});

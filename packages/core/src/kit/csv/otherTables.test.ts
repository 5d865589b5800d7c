import {
  type CsvReading,
  cameraTable,
  type KitCamera,
  presetRig,
  readCameraTable,
  readRigTable,
  type Rig,
  rigTable,
} from '../../index';

const body: KitCamera = {
  name: 'Cine body A, Super 35',
  software: '3.1',
  modes: [
    { id: 'mode-1', name: 'Wide, 4.6K', sensorWidthMm: 27.4, sensorHeightMm: 15.4, photositesWide: 4608, fastestFps: 60 },
    { id: 'mode-2', name: '2K | crop', sensorWidthMm: 12.2, sensorHeightMm: 6.9, photositesWide: 2048, fastestFps: 120 },
  ],
  steadying: [
    { id: 'steadying-1', name: 'standard', cropPercent: 10 },
    { id: 'steadying-2', name: 'strong 2', cropPercent: 22.5 },
  ],
  frameRates: [23.976, 24, 25],
  baseIsos: [800, 3200],
  displays: ['finder', '7 inch \\ cabled'],
  automaticAreaPercent: 40,
  tests: [],
  retestAfterDays: 90,
  notes: 'two\nlines',
};
const small: KitCamera = {
  ...body,
  name: 'Small body',
  modes: [body.modes[0]!],
  steadying: [],
  displays: [],
  automaticAreaPercent: null,
};

const codes = (reading: CsvReading<unknown>) =>
  reading.status === 'unread' ? reading.problems.map(({ code, path }) => `${path}: ${code}`) : [];

test('cameras are written mode by mode and read back, but for their tests', () => {
  const tested = { aid: 'magnify', display: 'finder', modeId: 'mode-1', works: true, note: '' } as const;
  const withTest = { ...body, tests: [{ ...tested, testedOn: '2026-01-01', testedBy: 'Bohdan', software: '3.1' }] };
  const table = cameraTable([withTest, small]);
  expect(table).toHaveLength(4);
  expect(readCameraTable(table)).toEqual({ status: 'read', items: [body, small] });
});

test('a table with the needed columns alone is enough; what is wrong is told by line and column', () => {
  const needed = ['camera', 'sensor width mm', 'sensor height mm', 'photosites wide'];
  const reading = readCameraTable([needed, ['Old body', '24,9 mm', '14', '4096']]);
  expect(reading.status === 'read' && reading.items[0]).toMatchObject({
    name: 'Old body',
    modes: [{ sensorWidthMm: 24.9, fastestFps: 30 }],
    automaticAreaPercent: null,
  });
  expect(
    codes(
      readCameraTable([
        [...needed, 'steadying'],
        ['B', '24', '14', '4096', 'strong'],
      ]),
    ),
  ).toEqual(['line 2, steadying: unreadable']);
  expect(
    codes(
      readCameraTable([
        [...needed, 'frame rates'],
        ['B', '24', '14', '4096', '24 fast'],
      ]),
    ),
  ).toEqual(['line 2, frame rates: unreadable']);
  expect(
    codes(
      readCameraTable([
        [...needed, 'autofocus area percent'],
        ['B', '24', '14', '4096', '0'],
      ]),
    ),
  ).toEqual(['line 2, automaticAreaPercent: out-of-range']);
  expect(
    codes(
      readCameraTable([
        ['camera', 'photosites wide'],
        ['B', '4096'],
      ]),
    ),
  ).toEqual(['line 1: missing-column', 'line 1: missing-column']);
});

test('rigs are written and read back, the parts that are there first', () => {
  const rig: Rig = {
    ...presetRig('On legs; two', 'legs', 'puller'),
    display: '7 inch',
    displayInches: 7,
    weightKg: 8.5,
    displayIsCabled: true,
    parts: [
      { id: 'part-1', name: 'head | fluid', isThere: true },
      { id: 'part-2', name: 'plate', isThere: false },
    ],
  };
  expect(readRigTable(rigTable([rig]))).toEqual({ status: 'read', items: [rig] });
  const mixed = { ...rig, parts: [rig.parts[1]!, rig.parts[0]!] };
  const reading = readRigTable(rigTable([mixed]));
  expect(reading.status === 'read' && reading.items[0]!.parts.map(({ name }) => name)).toEqual(['head | fluid', 'plate']);
  expect(
    codes(
      readRigTable([
        ['rig', 'support'],
        ['R', 'balloon'],
      ]),
    ),
  ).toEqual(['line 2, support: not-a-choice']);
});

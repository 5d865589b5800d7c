import { checkKitItem } from '../checkKit.js';
import type { KitCamera, RecordingMode, SteadyingLevel } from '../kitCamera.js';
import { type CsvColumn, figureColumn, type ReadCell, readTable, textColumn, writeTable } from './columns.js';
import { MAX_KIT_ITEMS } from './kitTables.js';
import { figuresColumn, namesColumn, readList, writeList } from './listCell.js';
import { type CsvReading, type CsvTable, readFigure, unreadFigure } from './table.js';

/** A line of the table: one mode of a camera, with the figures of the camera. */
interface CameraLine {
  readonly camera: Omit<KitCamera, 'modes'>;
  readonly mode: RecordingMode;
}

const EMPTY: CameraLine = {
  camera: {
    name: '?',
    software: '',
    steadying: [],
    frameRates: [],
    baseIsos: [],
    displays: [],
    automaticAreaPercent: null,
    tests: [],
    retestAfterDays: 0,
    notes: '',
  },
  mode: { id: 'mode-1', name: 'all of it', sensorWidthMm: 0, sensorHeightMm: 0, photositesWide: 0, fastestFps: 30 },
};

const inCamera =
  <K extends keyof CameraLine['camera']>(key: K) =>
  (line: CameraLine, value: CameraLine['camera'][K]): CameraLine => ({ ...line, camera: { ...line.camera, [key]: value } });
const inMode =
  <K extends keyof RecordingMode>(key: K) =>
  (line: CameraLine, value: RecordingMode[K]): CameraLine => ({ ...line, mode: { ...line.mode, [key]: value } });

const MM = /mm$/i;

const COLUMNS: readonly CsvColumn<CameraLine>[] = [
  textColumn('camera', ({ camera }) => camera.name, inCamera('name'), true),
  textColumn('mode', ({ mode }) => mode.name, inMode('name')),
  figureColumn('sensor width mm', ({ mode }) => mode.sensorWidthMm, inMode('sensorWidthMm'), { isNeeded: true, unit: MM }),
  figureColumn('sensor height mm', ({ mode }) => mode.sensorHeightMm, inMode('sensorHeightMm'), { isNeeded: true, unit: MM }),
  figureColumn('photosites wide', ({ mode }) => mode.photositesWide, inMode('photositesWide'), { isNeeded: true }),
  figureColumn('fastest fps', ({ mode }) => mode.fastestFps, inMode('fastestFps')),
  figuresColumn('frame rates', ({ camera }) => camera.frameRates, inCamera('frameRates')),
  figuresColumn('base ISOs', ({ camera }) => camera.baseIsos, inCamera('baseIsos')),
  namesColumn('displays', ({ camera }) => camera.displays, inCamera('displays')),
  {
    heading: 'steadying',
    write: ({ camera }) => writeList(camera.steadying.map(({ name, cropPercent }) => `${name} ${cropPercent}%`)),
    read: readSteadying,
  },
  figureColumn(
    'autofocus area percent',
    ({ camera }) => camera.automaticAreaPercent,
    inCamera('automaticAreaPercent') as (line: CameraLine, value: number) => CameraLine,
    { unit: /%$/ },
  ),
  textColumn('software', ({ camera }) => camera.software, inCamera('software')),
  figureColumn('retest after days', ({ camera }) => camera.retestAfterDays, inCamera('retestAfterDays')),
  textColumn('notes', ({ camera }) => camera.notes, inCamera('notes')),
];

/** Levels of steadying, each a name and what it crops: `standard 10% | strong 22%`. */
function readSteadying(cell: string, line: CameraLine): ReadCell<CameraLine> {
  const steadying: SteadyingLevel[] = [];
  for (const part of readList(cell)) {
    const [, name, figure] = /^(.*\S)\s+([\d.,]+)\s*%?$/.exec(part) ?? [];
    const cropPercent = figure === undefined ? null : readFigure(figure);
    if (name === undefined || cropPercent === null) return { problem: unreadFigure(part) };
    steadying.push({ id: `steadying-${steadying.length + 1}`, name, cropPercent });
  }
  return { item: inCamera('steadying')(line, steadying) };
}

/** Cameras as a table, headings first: a line for each recording mode. Test results are not in it; the whole kit as JSON has them. */
export function cameraTable(cameras: readonly KitCamera[]): string[][] {
  return writeTable(
    COLUMNS,
    cameras.flatMap(({ modes, ...camera }) => modes.map((mode): CameraLine => ({ camera, mode }))),
  );
}

/**
 * Reads cameras. Lines with the same camera are its modes; its other figures are those of its first line.
 *
 * @returns all cameras of the table, without test results, or every problem with its line and column
 */
export function readCameraTable(table: CsvTable): CsvReading<KitCamera> {
  const reading = readTable(table, COLUMNS, {
    initial: EMPTY,
    check: ({ camera, mode }) => checkKitItem('cameras', { ...camera, modes: [mode] }),
    max: MAX_KIT_ITEMS,
  });
  if (reading.status === 'unread') return reading;
  const cameras = new Map<string, KitCamera>();
  for (const { camera, mode } of reading.items) {
    const known = cameras.get(camera.name) ?? { ...camera, modes: [] };
    const modes = [...known.modes, { ...mode, id: `mode-${known.modes.length + 1}` }];
    cameras.set(camera.name, { ...known, modes });
  }
  return { status: 'read', items: [...cameras.values()] };
}

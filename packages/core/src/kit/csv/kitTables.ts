import { parseDistance } from '../../units/index.js';
import { checkKitItem } from '../checkKit.js';
import { HOLD_TESTS, type KitLens, type Lens, LENS_AUTOFOCUS, defaultLens, RING_RESPONSES } from '../lens.js';
import type { RingPoint } from '../ring.js';
import { defaultWheel, type Wheel } from '../wheel.js';
import {
  choiceColumn,
  type CsvColumn,
  figureColumn,
  type ReadCell,
  readTable,
  textColumn,
  writeTable,
  yesNoColumn,
} from './columns.js';
import { type CsvReading, type CsvTable, readFigure, unreadFigure } from './table.js';

/** More lenses than any rental house has. */
export const MAX_KIT_ITEMS = 5000;

/** Values that a line starts from. If the longest focal length and the stop there are empty, the lens is a prime. */
const EMPTY_LENS: KitLens = {
  lens: { ...defaultLens({ name: '?', focalLengthMm: 50 }), longestMm: 0, widestStopLong: 0, closeFocusMm: 0 },
  isHired: false,
  holdTestedOn: '',
  holdTestedBy: '',
  notes: '',
};

const inLens =
  <K extends keyof Lens>(key: K) =>
  (item: KitLens, value: Lens[K]): KitLens => ({ ...item, lens: { ...item.lens, [key]: value } });

const figure = (heading: string, key: keyof Lens, options: { isNeeded?: boolean; unit?: RegExp } = {}): CsvColumn<KitLens> =>
  figureColumn(
    heading,
    ({ lens }) => lens[key] as number | null,
    inLens(key) as (item: KitLens, value: number) => KitLens,
    options,
  );

const MM = /mm$/i;
const STOP = /^(t|f\/?)(?=\d)/i;

const LENS_COLUMNS: readonly CsvColumn<KitLens>[] = [
  textColumn('name', ({ lens }) => lens.name, inLens('name'), true),
  figure('focal length mm', 'focalLengthMm', { isNeeded: true, unit: MM }),
  figure('longest mm', 'longestMm', { unit: MM }),
  choiceColumn('stops are', ['T', 'f'] as const, ({ lens }) => lens.stopScale, inLens('stopScale')),
  figure('widest stop', 'widestStop', { isNeeded: true, unit: STOP }),
  figure('widest stop at long end', 'widestStopLong', { unit: STOP }),
  figure('narrowest stop', 'narrowestStop', { unit: STOP }),
  figure('light let through', 'transmittance'),
  {
    heading: 'close focus mm',
    isNeeded: true,
    write: ({ lens }) => String(lens.closeFocusMm),
    read: (cell, item) => {
      const mm = readFigure(cell);
      if (mm !== null) return { item: inLens('closeFocusMm')(item, mm) };
      const parsed = parseDistance(cell, 'metric');
      if (parsed.status === 'read') return { item: inLens('closeFocusMm')(item, parsed.distanceMm) };
      return { problem: unreadFigure(cell, 'distance') };
    },
  },
  throwColumn(),
  {
    heading: 'scale',
    write: ({ lens: { ring } }) => {
      if (ring.kind === 'helicoid') return '';
      const fit = ring.kind === 'fitted' ? [FITTED, ring.atInfinityDeg, ring.degPerMm] : [];
      return [...fit, ...ring.points.map(({ distanceMm, ringDeg }) => `${distanceMm ?? 'inf'}@${ringDeg}`)].join(' ');
    },
    read: readRing,
  },
  figure('principal separation mm', 'principalSeparationMm', { unit: MM }),
  choiceColumn('nearer turns', ['clockwise', 'anticlockwise'] as const, ({ lens }) => lens.nearerTurns, inLens('nearerTurns')),
  choiceColumn('ring answers by', RING_RESPONSES, ({ lens }) => lens.response, inLens('response')),
  figure('steps', 'stepCount'),
  yesNoColumn('reports data', ({ lens }) => lens.reportsData, inLens('reportsData')),
  choiceColumn('autofocus', LENS_AUTOFOCUS, ({ lens }) => lens.autofocus, inLens('autofocus')),
  figure('squeeze', 'squeeze'),
  figure('breathing percent', 'breathingPercent'),
  choiceColumn('holds focus zooming', HOLD_TESTS, ({ lens }) => lens.holdsFocus, inLens('holdsFocus')),
  textColumn(
    'tested on',
    ({ holdTestedOn }) => holdTestedOn,
    (item, holdTestedOn) => ({ ...item, holdTestedOn }),
  ),
  textColumn(
    'tested by',
    ({ holdTestedBy }) => holdTestedBy,
    (item, holdTestedBy) => ({ ...item, holdTestedBy }),
  ),
  figure('front mm', 'frontDiameterMm', { unit: MM }),
  figure('ring mm', 'ringDiameterMm', { unit: MM }),
  textColumn('gear', ({ lens }) => lens.gear, inLens('gear')),
  yesNoColumn(
    'hired',
    ({ isHired }) => isHired,
    (item, isHired) => ({ ...item, isHired }),
  ),
  textColumn(
    'notes',
    ({ notes }) => notes,
    (item, notes) => ({ ...item, notes }),
  ),
];

function throwColumn(): CsvColumn<KitLens> {
  return figureColumn(
    'throw deg',
    ({ lens }) => (lens.ring.kind === 'helicoid' ? lens.ring.focusThrowDeg : null),
    (item, focusThrowDeg) => inLens('ring')(item, { kind: 'helicoid', focusThrowDeg }),
  );
}

/** Begins a scale that was fitted to its points; the angle at infinity and the degrees per mm of extension follow. */
const FITTED = 'fitted';

/** Scale points, each `distance@angle`, as engraved; or as read, with the fit before them. */
function readRing(cell: string, item: KitLens): ReadCell<KitLens> {
  const parts = cell.split(/\s+/);
  if (parts[0] !== FITTED) return readPoints(parts, (points) => inLens('ring')(item, { kind: 'table', points }));
  const [atInfinityDeg = null, degPerMm = null] = parts.slice(1, 3).map(readFigure);
  if (atInfinityDeg === null || degPerMm === null)
    return { problem: { code: 'unreadable', values: { text: cell, what: 'scale-points' } } };
  return readPoints(parts.slice(3), (points) => inLens('ring')(item, { kind: FITTED, atInfinityDeg, degPerMm, points }));
}

function readPoints(parts: readonly string[], withPoints: (points: readonly RingPoint[]) => KitLens): ReadCell<KitLens> {
  const points: RingPoint[] = [];
  for (const part of parts) {
    const [distance = '', angle = '', ...rest] = part.split('@');
    const mm = readPointDistance(distance);
    const ringDeg = readFigure(angle);
    if (ringDeg === null || mm === 'unreadable' || rest.length > 0)
      return { problem: { code: 'unreadable', values: { text: part, what: 'scale-points' } } };
    points.push({ distanceMm: mm, ringDeg });
  }
  return { item: withPoints(points) };
}

/** A bare figure is in mm; others name their unit, such as 7'11" or 2.4m. null for infinity. */
function readPointDistance(text: string): number | null | 'unreadable' {
  if (/^(inf|∞)$/i.test(text)) return null;
  const mm = readFigure(text);
  if (mm !== null) return mm;
  const parsed = parseDistance(text, 'metric');
  return parsed.status === 'read' ? parsed.distanceMm : 'unreadable';
}

/** Copies the figures of a prime to its long end. */
function completed(item: KitLens): KitLens {
  const { lens } = item;
  return {
    ...item,
    lens: {
      ...lens,
      longestMm: lens.longestMm || lens.focalLengthMm,
      widestStopLong: lens.widestStopLong || lens.widestStop,
      stepCount: lens.response === 'steps' ? lens.stepCount : 0,
    },
  };
}

/** Lenses as a table, headings first. `readLensTable` reads it back without loss. */
export function lensTable(lenses: readonly KitLens[]): string[][] {
  return writeTable(LENS_COLUMNS, lenses);
}

/** @returns all lenses of the table, or every problem with its line and column */
export function readLensTable(table: CsvTable): CsvReading<KitLens> {
  const reading = readTable(table, LENS_COLUMNS, {
    initial: EMPTY_LENS,
    check: (item) => checkKitItem('lenses', completed(item)),
    max: MAX_KIT_ITEMS,
  });
  return reading.status === 'read' ? { status: 'read', items: reading.items.map(completed) } : reading;
}

const EMPTY_WHEEL = defaultWheel({ name: '?' });

const WHEEL_COLUMNS: readonly CsvColumn<Wheel>[] = [
  textColumn(
    'name',
    ({ name }) => name,
    (item, name) => ({ ...item, name }),
    true,
  ),
  choiceColumn(
    'kind',
    ['wheel', 'motor'] as const,
    ({ kind }) => kind,
    (item, kind) => ({ ...item, kind }),
  ),
  figureColumn(
    'wheel deg per ring deg',
    ({ wheelPerRing }) => wheelPerRing,
    (item, wheelPerRing) => ({ ...item, wheelPerRing }),
    {
      isNeeded: true,
    },
  ),
  choiceColumn(
    'turns',
    ['same', 'opposite'] as const,
    ({ turns }) => turns,
    (item, turns) => ({ ...item, turns }),
  ),
  figureColumn(
    'disc mm',
    ({ discDiameterMm }) => discDiameterMm,
    (item, discDiameterMm) => ({ ...item, discDiameterMm }),
    { unit: MM },
  ),
  yesNoColumn(
    'end stops',
    ({ hasEndStops }) => hasEndStops,
    (item, hasEndStops) => ({ ...item, hasEndStops }),
  ),
  figureColumn(
    'comfortable deg',
    ({ comfortableDeg }) => comfortableDeg,
    (item, comfortableDeg) => ({ ...item, comfortableDeg }),
  ),
  figureColumn(
    'fastest deg per s',
    ({ fastestDegPerS }) => fastestDegPerS,
    (item, fastestDegPerS) => ({ ...item, fastestDegPerS }),
  ),
  textColumn(
    'notes',
    ({ notes }) => notes,
    (item, notes) => ({ ...item, notes }),
  ),
];

export function wheelTable(wheels: readonly Wheel[]): string[][] {
  return writeTable(WHEEL_COLUMNS, wheels);
}

/** @returns all wheels of the table, or every problem with its line and column */
export function readWheelTable(table: CsvTable): CsvReading<Wheel> {
  return readTable(table, WHEEL_COLUMNS, {
    initial: EMPTY_WHEEL,
    check: (item) => checkKitItem('wheels', item),
    max: MAX_KIT_ITEMS,
  });
}

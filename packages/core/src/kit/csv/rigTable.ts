import { checkKitItem } from '../checkKit.js';
import { PULLERS, type Rig, SUPPORTS } from '../rig.js';
import { choiceColumn, type CsvColumn, figureColumn, readTable, textColumn, writeTable, yesNoColumn } from './columns.js';
import { MAX_KIT_ITEMS } from './kitTables.js';
import { namesColumn } from './listCell.js';
import type { CsvReading, CsvTable } from './table.js';

const EMPTY: Rig = {
  name: '?',
  support: 'legs',
  puller: 'puller',
  display: '',
  displayInches: null,
  displayIsCabled: false,
  weightKg: null,
  parts: [],
  notes: '',
};

const set =
  <K extends keyof Rig>(key: K) =>
  (rig: Rig, value: Rig[K]): Rig => ({ ...rig, [key]: value });

/** Adds parts to those that are listed already. */
const withParts =
  (isThere: boolean) =>
  (rig: Rig, names: readonly string[]): Rig => {
    const first = rig.parts.length + 1;
    return { ...rig, parts: [...rig.parts, ...names.map((name, k) => ({ id: `part-${first + k}`, name, isThere }))] };
  };
const partsOf =
  (isThere: boolean) =>
  ({ parts }: Rig): string[] =>
    parts.filter((part) => part.isThere === isThere).map(({ name }) => name);

const COLUMNS: readonly CsvColumn<Rig>[] = [
  textColumn('rig', ({ name }) => name, set('name'), true),
  choiceColumn('support', SUPPORTS, ({ support }) => support, set('support')),
  choiceColumn('who pulls', PULLERS, ({ puller }) => puller, set('puller')),
  textColumn('display', ({ display }) => display, set('display')),
  figureColumn('display inches', ({ displayInches }) => displayInches, set('displayInches')),
  yesNoColumn('display on a cable', ({ displayIsCabled }) => displayIsCabled, set('displayIsCabled')),
  figureColumn('weight kg', ({ weightKg }) => weightKg, set('weightKg'), { unit: /kg$/i }),
  namesColumn('parts there', partsOf(true), withParts(true)),
  namesColumn('parts missing', partsOf(false), withParts(false)),
  textColumn('notes', ({ notes }) => notes, set('notes')),
];

/** Rigs as a table, headings first. */
export function rigTable(rigs: readonly Rig[]): string[][] {
  return writeTable(COLUMNS, rigs);
}

/** @returns all rigs of the table, the parts that are there first; or every problem with its line and column */
export function readRigTable(table: CsvTable): CsvReading<Rig> {
  return readTable(table, COLUMNS, { initial: EMPTY, check: (rig) => checkKitItem('rigs', rig), max: MAX_KIT_ITEMS });
}

import type { Problem } from '../errors.js';
import {
  choiceColumn,
  type CsvColumn,
  type CsvReading,
  type CsvTable,
  figureColumn,
  readTable,
  textColumn,
  writeTable,
  yesNoColumn,
} from '../kit/index.js';
import { METHODS, newPlan } from '../pull/index.js';
import { checkTake, newTake, type Take, type TakeSettings, upgradeTake } from './take.js';

/** A take in an exported file. */
export interface LoggedTake {
  /** UUID; empty if it has none */
  readonly id: string;
  readonly slate: string;
  readonly number: number;
  /** ISO 8601 */
  readonly rolledAt: string;
  readonly take: Take;
}

/** Largest number of takes in a file. */
export const MOST_TAKES_IN_A_FILE = 100_000;

export const TAKES_FORMAT = 'still-heron-takes';

const FRESH: LoggedTake = { id: '', slate: '', number: 1, rolledAt: '', take: newTake(newPlan(), 1) };

const put =
  <K extends keyof Take>(key: K) =>
  (item: LoggedTake, value: Take[K]): LoggedTake => ({ ...item, take: { ...item.take, [key]: value } });
const putSetting =
  <K extends keyof TakeSettings>(key: K) =>
  (item: LoggedTake, value: TakeSettings[K]): LoggedTake =>
    put('settings')(item, { ...item.take.settings, [key]: value });

/** Text as it is, or as quoted JSON where a table would lose its spaces. */
function words(heading: string, get: (item: LoggedTake) => string, set: (item: LoggedTake, value: string) => LoggedTake) {
  const plain = textColumn(heading, get, set);
  return {
    ...plain,
    write: (item: LoggedTake) => {
      const text = get(item);
      return text !== text.trim() || text.startsWith('"') || text.startsWith('\uFEFF') ? JSON.stringify(text) : text;
    },
    read: (cell: string, item: LoggedTake) => {
      if (!cell.startsWith('"')) return set(item, cell);
      const value = parsed(cell);
      return typeof value === 'string' ? set(item, value) : { message: 'the quotes do not close', need: 'text' };
    },
  };
}

/** A structured value as JSON in one cell. It is checked with the whole take. */
function json<K extends keyof Take>(heading: string, key: K): CsvColumn<LoggedTake> {
  return {
    heading,
    write: ({ take }) => JSON.stringify(take[key]),
    read: (cell, item) => {
      const value = parsed(cell);
      return value === undefined ? { message: 'it can’t be read as JSON', need: 'JSON' } : put(key)(item, value as Take[K]);
    },
  };
}

const setting = (heading: string, key: 'camera' | 'lens' | 'rig' | 'wheel' | 'puller') =>
  words(heading, ({ take }) => take.settings[key], putSetting(key));
const settingFigure = (heading: string, key: 'focalLengthMm' | 'stop' | 'captureFps') =>
  figureColumn<LoggedTake>(heading, ({ take }) => take.settings[key], putSetting(key));

const COLUMNS: readonly CsvColumn<LoggedTake>[] = [
  words(
    'slate',
    ({ slate }) => slate,
    (item, slate) => ({ ...item, slate }),
  ),
  figureColumn(
    'take',
    ({ number }) => number,
    (item, number) => ({ ...item, number }),
    { isNeeded: true },
  ),
  textColumn(
    'rolled at',
    ({ rolledAt }) => rolledAt,
    (item, rolledAt) => ({ ...item, rolledAt }),
    true,
  ),
  yesNoColumn('circled', ({ take }) => take.isCircled, put('isCircled')),
  json('focus', 'focus'),
  json('performance', 'performance'),
  json('marks', 'hits'),
  words('note', ({ take }) => take.note, put('note')),
  words('why kept', ({ take }) => take.whyKept, put('whyKept')),
  json('length s', 'durationS'),
  yesNoColumn('cut short', ({ take }) => take.isCutShort, put('isCutShort')),
  json('usable', 'usable'),
  json('rocked to check', 'wobbles'),
  json('repairs', 'repairs'),
  textColumn('timecode', ({ take }) => take.startTimecode, put('startTimecode')),
  json('set off', 'cues'),
  json('off the mark mm', 'missed'),
  words('checked on', ({ take }) => take.checkedOn, put('checkedOn')),
  json('checked at times', 'checkedTimes'),
  json('predicted', 'predictedRate'),
  setting('camera', 'camera'),
  setting('lens', 'lens'),
  settingFigure('focal length mm', 'focalLengthMm'),
  settingFigure('stop', 'stop'),
  settingFigure('capture fps', 'captureFps'),
  choiceColumn('method', METHODS, ({ take }) => take.settings.method, putSetting('method')),
  setting('rig', 'rig'),
  setting('wheel', 'wheel'),
  setting('pulled by', 'puller'),
  yesNoColumn('shot backwards', ({ take }) => take.settings.isReversed, putSetting('isReversed')),
  figureColumn('version of the plan', ({ take }) => take.planVersion, put('planVersion')),
  json('track', 'track'),
  textColumn(
    'id',
    ({ id }) => id,
    (item, id) => ({ ...item, id }),
  ),
];

/** Takes as a table, one per line. */
export function takesTable(takes: readonly LoggedTake[]): string[][] {
  return writeTable(COLUMNS, takes);
}

/** Reads a table written by `takesTable`; columns in any order. */
export function readTakesTable(table: CsvTable): CsvReading<LoggedTake> {
  return readTable(table, COLUMNS, { fresh: FRESH, check: problemsOf, most: MOST_TAKES_IN_A_FILE });
}

/** Takes as JSON text. */
export function takesJson(takes: readonly LoggedTake[]): string {
  return `${JSON.stringify({ format: TAKES_FORMAT, schema: 1, takes }, null, 1)}\n`;
}

/** Reads text written by `takesJson`. */
export function readTakesJson(text: string): CsvReading<LoggedTake> {
  const value = parsed(text) as { format?: unknown; takes?: unknown } | null | undefined;
  if (value?.format !== TAKES_FORMAT || !Array.isArray(value.takes)) {
    const problem = {
      code: 'unreadable',
      path: '',
      message: 'it is no file of takes',
      need: `JSON with the format ${TAKES_FORMAT}`,
    };
    return { status: 'unread', problems: [problem] };
  }
  const takes = (value.takes as LoggedTake[]).map((item) => ({ ...FRESH, ...item, take: upgradeTake(item?.take) as Take }));
  const problems = takes.flatMap((item, index) =>
    problemsOf(item).map((problem) => ({ ...problem, path: `takes[${index}].${problem.path}` })),
  );
  return problems.length > 0 ? { status: 'unread', problems } : { status: 'read', items: takes };
}

function problemsOf({ number, rolledAt, take }: LoggedTake): Problem[] {
  const problems = checkTake(take).map((problem) => ({ ...problem, path: `take.${problem.path}` }));
  if (!Number.isInteger(number) || number < 1)
    problems.push({
      code: 'not-whole',
      path: 'take',
      message: `${number} is no number of a take`,
      need: 'a whole number from 1',
    });
  if (Number.isNaN(Date.parse(rolledAt)))
    problems.push({
      code: 'not-a-time',
      path: 'rolled at',
      message: `“${rolledAt}” is no time`,
      need: 'such as 2026-03-01T10:15:00Z',
    });
  return problems;
}

/** @returns undefined if the text is not JSON */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

import { problem, type Problem } from '../problems.js';
import {
  type CellProblem,
  choiceColumn,
  type CsvColumn,
  type CsvReading,
  type CsvTable,
  figureColumn,
  type ReadCell,
  readTable,
  textColumn,
  writeTable,
  yesNoColumn,
} from '../kit/index.js';
import { METHODS, newPlan } from '../plan/index.js';
import { newTake } from './newTake.js';
import { checkTake, METHOD_DIVIDER, RING_SOURCES, type Take, type TakeGear, TIMECODE_SOURCES } from './take.js';
import { upgradeTake, upgradeTakeField } from './upgradeTake.js';

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
export const MAX_TAKES_PER_FILE = 100_000;

export const TAKES_FORMAT = 'still-heron-takes';

const EMPTY_TAKE: LoggedTake = {
  id: '',
  slate: '',
  number: 1,
  rolledAt: '',
  take: { ...newTake(newPlan(), 1), ringFrom: 'unknown' },
};

const put =
  <K extends keyof Take>(key: K) =>
  (item: LoggedTake, value: Take[K]): LoggedTake => ({ ...item, take: { ...item.take, [key]: value } });
const putGear =
  <K extends keyof TakeGear>(key: K) =>
  (item: LoggedTake, value: TakeGear[K]): LoggedTake =>
    put('gear')(item, { ...item.take.gear, [key]: value });

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
      if (!cell.startsWith('"')) return { item: set(item, cell) };
      const value = parsed(cell);
      return typeof value === 'string' ? { item: set(item, value) } : { problem: unreadable(cell, 'text') };
    },
  };
}

/** A structured value as JSON in one cell. It is checked with the whole take. */
function json<K extends keyof Take>(heading: string, key: K, ...oldHeadings: string[]): CsvColumn<LoggedTake> {
  return {
    heading,
    oldHeadings,
    write: ({ take }) => JSON.stringify(take[key]),
    read: (cell, item) => {
      const value = parsed(cell);
      if (value === undefined) return { problem: unreadable(cell, 'json') };
      return { item: put(key)(item, upgradeTakeField(key, value) as Take[K]) };
    },
  };
}

const gear = (heading: string, key: 'camera' | 'lens' | 'rig' | 'wheel' | 'puller') =>
  words(heading, ({ take }) => take.gear[key], putGear(key));
const gearFigure = (heading: string, key: 'focalLengthMm' | 'stop' | 'captureFps') =>
  figureColumn<LoggedTake>(heading, ({ take }) => take.gear[key], putGear(key));

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
  json('focus by track', 'measured'),
  json('performance', 'performance'),
  yesNoColumn('no good', ({ take }) => take.isNoGood, put('isNoGood')),
  json('marks', 'hits'),
  json('findings', 'findings'),
  words('note', ({ take }) => take.note, put('note')),
  words('why kept', ({ take }) => take.whyKept, put('whyKept')),
  json('duration s', 'durationS', 'length s'),
  yesNoColumn('cut short', ({ take }) => take.isCutShort, put('isCutShort')),
  json('usable', 'usable'),
  json('focus checks', 'focusChecks', 'rocked to check'),
  json('repairs', 'repairs'),
  textColumn('timecode', ({ take }) => take.startTimecode, put('startTimecode')),
  choiceColumn('timecode from', TIMECODE_SOURCES, ({ take }) => take.timecodeFrom, put('timecodeFrom')),
  words('clip', ({ take }) => take.clip, put('clip')),
  choiceColumn('ring from', RING_SOURCES, ({ take }) => take.ringFrom, put('ringFrom')),
  json('alternate', 'alternate'),
  json('cues', 'cues', 'set off'),
  json('mark misses mm', 'markMisses', 'off the mark mm'),
  words('checked on', ({ take }) => take.checkedOn, put('checkedOn')),
  json('check magnification', 'checkMagnification', 'checked at times'),
  json('check confidence', 'checkConfidence'),
  json('earlier looks', 'earlierLooks'),
  json('recoveries', 'recoveries'),
  json('zone depth mm', 'zoneDepthMm'),
  json('predicted keep rate', 'predictedKeepRate', 'predicted'),
  gear('camera', 'camera'),
  gear('lens', 'lens'),
  gearFigure('focal length mm', 'focalLengthMm'),
  gearFigure('stop', 'stop'),
  gearFigure('capture fps', 'captureFps'),
  choiceColumn('method', METHODS, ({ take }) => take.gear.method, putGear('method')),
  {
    heading: 'later methods',
    write: ({ take }) => take.gear.laterMethods.join(METHOD_DIVIDER),
    read: readLaterMethods,
  },
  gear('rig', 'rig'),
  gear('wheel', 'wheel'),
  gear('pulled by', 'puller'),
  yesNoColumn('shot backwards', ({ take }) => take.gear.isReversed, putGear('isReversed')),
  figureColumn('plan version', ({ take }) => take.planVersion, put('planVersion'), { oldHeadings: ['version of the plan'] }),
  json('track', 'track'),
  textColumn(
    'id',
    ({ id }) => id,
    (item, id) => ({ ...item, id }),
  ),
];

/** Methods of later parts, divided by spaces. */
function readLaterMethods(cell: string, item: LoggedTake): ReadCell<LoggedTake> {
  const words = cell.split(/\s+/).filter(Boolean);
  const methods = words.flatMap((word) => METHODS.find((method) => method === word.toLowerCase()) ?? []);
  if (methods.length === words.length) return { item: putGear('laterMethods')(item, methods) };
  return { problem: { code: 'not-a-choice', values: { given: `“${cell}”`, choices: METHODS } } };
}

/** Takes as a table, one per line. */
export function takesTable(takes: readonly LoggedTake[]): string[][] {
  return writeTable(COLUMNS, takes);
}

/** Reads a table written by `takesTable`; columns in any order. */
export function readTakesTable(table: CsvTable): CsvReading<LoggedTake> {
  return readTable(table, COLUMNS, { initial: EMPTY_TAKE, check: problemsOf, max: MAX_TAKES_PER_FILE });
}

/** Takes as JSON text. */
export function takesJson(takes: readonly LoggedTake[]): string {
  return `${JSON.stringify({ format: TAKES_FORMAT, schema: 3, takes }, null, 1)}\n`;
}

/** Reads text written by `takesJson`. */
export function readTakesJson(text: string): CsvReading<LoggedTake> {
  const value = parsed(text) as { format?: unknown; takes?: unknown } | null | undefined;
  if (value?.format !== TAKES_FORMAT || !Array.isArray(value.takes)) {
    return { status: 'unread', problems: [problem('wrong-file', '', { file: 'takes', format: TAKES_FORMAT })] };
  }
  const takes = (value.takes as (LoggedTake | null)[]).map((item) => ({
    ...EMPTY_TAKE,
    ...item,
    take: upgradeTake(item?.take) as Take,
  }));
  const problems = takes.flatMap((item, index) =>
    problemsOf(item).map((found) => ({ ...found, path: `takes[${index}].${found.path}` })),
  );
  return problems.length > 0 ? { status: 'unread', problems } : { status: 'read', items: takes };
}

function problemsOf({ number, rolledAt, take }: LoggedTake): Problem[] {
  const problems: Problem[] = checkTake(take).map((found) => ({ ...found, path: `take.${found.path}` }));
  if (!Number.isInteger(number) || number < 1)
    problems.push(problem('not-whole', 'take', { given: String(number), min: 1, isWhole: true }));
  if (Number.isNaN(Date.parse(rolledAt))) problems.push(problem('not-a-date', 'rolled at', { text: String(rolledAt) }));
  return problems;
}

function unreadable(text: string, what: 'text' | 'json'): CellProblem {
  return { code: 'unreadable', values: { text, what } };
}

/** @returns undefined if the text is not JSON */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

import type { Problem } from '../../errors.js';
import { CsvProblems, type CsvReading, type CsvTable, readFigure, tidyHeading, tidyTable, unreadFigure } from './table.js';

/** One column of a table: its heading, and how a value is written to it and read from it. */
export interface CsvColumn<T> {
  readonly heading: string;
  /** Headings of the column in files of earlier versions */
  readonly oldHeadings?: readonly string[];
  write(item: T): string;
  /** The item with the cell's value set, or the problem of the cell */
  read(cell: string, item: T): T | { readonly message: string; readonly need: string };
  /** A file without this column is rejected */
  readonly isNeeded?: boolean;
}

/** The items as a table, headings first. */
export function writeTable<T>(columns: readonly CsvColumn<T>[], items: readonly T[]): string[][] {
  return [columns.map(({ heading }) => heading), ...items.map((item) => columns.map((column) => column.write(item)))];
}

/**
 * Reads items from a table by its headings, in any order. Missing columns keep the values of `initial`.
 *
 * @param initial - what each line starts from
 * @param check - problems of a whole item; reported by line, without their paths
 * @param max - largest number of lines
 * @returns all items, or every problem with its line and column
 */
export function readTable<T>(
  table: CsvTable,
  columns: readonly CsvColumn<T>[],
  options: { readonly initial: T; readonly check: (item: T) => readonly Problem[]; readonly max: number },
): CsvReading<T> {
  const problems = new CsvProblems();
  const [head, ...body] = tidyTable(table);
  const placed = head ? placeColumns(head.line, head.cells, columns, problems) : null;
  if (!head)
    problems.add(1, null, 'the file is empty', `a heading: ${columns.map(({ heading }) => heading).join(', ')}`, 'empty');
  if (body.length > options.max)
    problems.add(body[options.max]!.line, null, `the file has ${body.length} lines`, `at most ${options.max}`, 'too-many');
  if (!placed || problems.hasAny) return { status: 'unread', problems: problems.list };
  const items: T[] = [];
  for (const { line, cells } of body) {
    if (problems.isFull) break;
    if (cells.length > head!.cells.length) {
      problems.add(
        line,
        null,
        `it has ${cells.length} cells and the heading ${head!.cells.length}`,
        'a decimal point, or semicolons between the cells where commas are decimal',
        'other-width',
      );
      continue;
    }
    items.push(...readLine(line, cells, placed, options, problems));
  }
  return problems.hasAny ? { status: 'unread', problems: problems.list } : { status: 'read', items };
}

function readLine<T>(
  line: number,
  cells: readonly string[],
  placed: readonly { at: number; column: CsvColumn<T> }[],
  { initial, check }: { readonly initial: T; readonly check: (item: T) => readonly Problem[] },
  problems: CsvProblems,
): T[] {
  let item = initial;
  let isRead = true;
  for (const { at, column } of placed) {
    const cell = cells[at] ?? '';
    if (cell === '' && !column.isNeeded) continue;
    const next = column.read(cell, item);
    if (typeof next === 'object' && next !== null && 'message' in next && 'need' in next) {
      problems.add(line, column.heading, next.message, next.need);
      isRead = false;
    } else item = next as T;
  }
  if (!isRead) return [];
  const [wrong] = check(item);
  if (wrong) problems.add(line, wrong.path || null, wrong.message, wrong.need, wrong.code);
  return wrong ? [] : [item];
}

function placeColumns<T>(
  line: number,
  cells: readonly string[],
  columns: readonly CsvColumn<T>[],
  problems: CsvProblems,
): { at: number; column: CsvColumn<T> }[] {
  const placed = cells.flatMap((cell, at) => {
    if (cell === '') return [];
    const column = columns.find(({ heading, oldHeadings = [] }) =>
      [heading, ...oldHeadings].some((name) => tidyHeading(name) === tidyHeading(cell)),
    );
    if (!column)
      problems.add(
        line,
        cell,
        'this heading is not known',
        `one of: ${columns.map(({ heading }) => heading).join(', ')}`,
        'heading',
      );
    return column ? [{ at, column }] : [];
  });
  for (const column of columns) {
    const times = placed.filter((item) => item.column === column).length;
    if (times === 0 && column.isNeeded)
      problems.add(line, null, `there is no column “${column.heading}”`, 'that column', 'heading');
    if (times > 1) problems.add(line, column.heading, 'this heading stands there twice', 'it once', 'heading');
  }
  // in declaration order: the meaning of a column can depend on an earlier one
  return placed.sort((a, b) => columns.indexOf(a.column) - columns.indexOf(b.column));
}

/** A column that holds a plain number. */
export function figureColumn<T>(
  heading: string,
  get: (item: T) => number | null,
  set: (item: T, value: number) => T,
  options: { readonly isNeeded?: boolean; readonly unit?: RegExp; readonly oldHeadings?: readonly string[] } = {},
): CsvColumn<T> {
  return {
    heading,
    isNeeded: options.isNeeded ?? false,
    oldHeadings: options.oldHeadings ?? [],
    write: (item) => String(get(item) ?? ''),
    read: (cell, item) => {
      const given = options.unit ? cell.replace(options.unit, '').trim() : cell;
      const value = readFigure(given);
      if (value !== null) return set(item, value);
      const [message, need] = unreadFigure(given);
      return { message, need };
    },
  };
}

/** A column that holds one of several words. */
export function choiceColumn<T, W extends string>(
  heading: string,
  words: readonly W[],
  get: (item: T) => W,
  set: (item: T, value: W) => T,
): CsvColumn<T> {
  return {
    heading,
    write: get,
    read: (cell, item) => {
      const word = words.find((candidate) => candidate.toLowerCase() === cell.toLowerCase());
      return word ? set(item, word) : { message: `“${cell}” is none of the choices`, need: words.join(' or ') };
    },
  };
}

export function textColumn<T>(
  heading: string,
  get: (item: T) => string,
  set: (item: T, value: string) => T,
  isNeeded = false,
): CsvColumn<T> {
  return {
    heading,
    isNeeded,
    write: get,
    read: (cell, item) => (cell === '' && isNeeded ? { message: 'the cell is empty', need: 'a name' } : set(item, cell)),
  };
}

export function yesNoColumn<T>(heading: string, get: (item: T) => boolean, set: (item: T, value: boolean) => T): CsvColumn<T> {
  return {
    heading,
    write: (item) => (get(item) ? 'yes' : 'no'),
    read: (cell, item) => {
      if (/^(yes|y|true|1)$/i.test(cell)) return set(item, true);
      if (/^(no|n|false|0)$/i.test(cell)) return set(item, false);
      return { message: `“${cell}” is neither`, need: 'yes or no' };
    },
  };
}

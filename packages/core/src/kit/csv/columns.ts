import type { Problem } from '../../problems.js';
import {
  type CellProblem,
  cellPath,
  CsvProblems,
  type CsvReading,
  type CsvTable,
  readFigure,
  tidyHeading,
  tidyTable,
  unreadFigure,
} from './table.js';

/** Result of reading a cell. */
export type ReadCell<T> = { readonly item: T } | { readonly problem: CellProblem };

/** One column of a table: its heading, and how a value is written to it and read from it. */
export interface CsvColumn<T> {
  readonly heading: string;
  /** Headings of the column in files of earlier versions */
  readonly oldHeadings?: readonly string[];
  write(item: T): string;
  /** The item with the cell's value set, or the problem of the cell */
  read(cell: string, item: T): ReadCell<T>;
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
  if (!head) problems.add(1, null, 'empty', { what: 'file' });
  if (body.length > options.max)
    problems.add(body[options.max]!.line, null, 'too-many', { count: body.length, max: options.max, counted: 'lines' });
  if (!placed || problems.hasAny) return { status: 'unread', problems: problems.list };
  const items: T[] = [];
  for (const row of body) {
    const { line, cells } = row;
    if (problems.isFull) break;
    if (cells.length > head!.cells.length) {
      problems.add(line, null, 'other-width', { cells: cells.length, headings: head!.cells.length });
      continue;
    }
    items.push(...readLine(row, placed, options, problems));
  }
  // readLine adds to the problems, which the compiler does not see
  // eslint-disable-next-line @typescript-eslint/no-unnecessary-condition
  return problems.hasAny ? { status: 'unread', problems: problems.list } : { status: 'read', items };
}

function readLine<T>(
  { line, cells }: { readonly line: number; readonly cells: readonly string[] },
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
    if ('problem' in next) {
      problems.push({ ...next.problem, path: cellPath(line, column.heading) } as Problem);
      isRead = false;
    } else item = next.item;
  }
  if (!isRead) return [];
  const [wrong] = check(item);
  if (wrong) problems.push({ ...wrong, path: cellPath(line, wrong.path || null) });
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
    if (!column) problems.add(line, cell, 'unknown-heading', { headings: columns.map(({ heading }) => heading) });
    return column ? [{ at, column }] : [];
  });
  for (const column of columns) {
    const times = placed.filter((item) => item.column === column).length;
    if (times === 0 && column.isNeeded) problems.add(line, null, 'missing-column', { heading: column.heading });
    if (times > 1) problems.add(line, column.heading, 'heading-twice', {});
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
      return value === null ? { problem: unreadFigure(given) } : { item: set(item, value) };
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
      return word ? { item: set(item, word) } : { problem: notAChoice(cell, words) };
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
    read: (cell, item) =>
      cell === '' && isNeeded ? { problem: { code: 'empty', values: { what: 'text' } } } : { item: set(item, cell) },
  };
}

export function yesNoColumn<T>(heading: string, get: (item: T) => boolean, set: (item: T, value: boolean) => T): CsvColumn<T> {
  return {
    heading,
    write: (item) => (get(item) ? 'yes' : 'no'),
    read: (cell, item) => {
      if (/^(yes|y|true|1)$/i.test(cell)) return { item: set(item, true) };
      if (/^(no|n|false|0)$/i.test(cell)) return { item: set(item, false) };
      return { problem: notAChoice(cell, ['yes', 'no']) };
    },
  };
}

function notAChoice(cell: string, choices: readonly string[]): CellProblem {
  return { code: 'not-a-choice', values: { given: `“${cell}”`, choices } };
}

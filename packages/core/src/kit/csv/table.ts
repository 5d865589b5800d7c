import { problem, type Problem, type ProblemCode, type ProblemValues } from '../../problems.js';

/** Rows of cells of a CSV file; the first row is line 1. The caller has already split the cells. */
export type CsvTable = readonly (readonly string[])[];

/** Result of reading a table: all of its content, or the problems and no content. */
export type CsvReading<T> =
  | { readonly status: 'read'; readonly items: readonly T[] }
  | { readonly status: 'unread'; readonly problems: readonly Problem[] };

/** A problem of a cell whose place is not known yet. */
export type CellProblem = { readonly [C in ProblemCode]: { readonly code: C; readonly values: ProblemValues[C] } }[ProblemCode];

/** Place of a cell in a file: `line 3, ring deg`. */
export function cellPath(line: number, column: string | null): string {
  return `line ${line}${column === null ? '' : `, ${column}`}`;
}

/** Further problems are not listed. */
const MAX_PROBLEMS = 20;

/** Collects problems, each with its line and column. */
export class CsvProblems {
  readonly list: Problem[] = [];
  private count = 0;

  /** @param line - counted from 1 @param column - its heading, or null for the whole line */
  add<C extends ProblemCode>(line: number, column: string | null, code: C, values: ProblemValues[C]): void {
    this.push(problem(code, cellPath(line, column), values));
  }

  push(found: Problem): void {
    this.count++;
    if (this.list.length < MAX_PROBLEMS) this.list.push(found);
  }

  get isFull(): boolean {
    return this.count >= MAX_PROBLEMS;
  }

  get hasAny(): boolean {
    return this.count > 0;
  }
}

/** Rows without byte order mark, blank lines and padding. */
export function tidyTable(table: CsvTable): { line: number; cells: string[] }[] {
  return table
    .map((row, index) => ({ line: index + 1, cells: row.map((cell) => cell.replace(/^\uFEFF/, '').trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
}

/**
 * Reads a plain number with a decimal point or a decimal comma.
 *
 * @returns null if it can't be read, is beyond all numbers, or if a comma could separate thousands (`1,200`)
 */
export function readFigure(cell: string): number | null {
  const isDecimalPoint = /^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(cell);
  const isDecimalComma = /^[+-]?(\d*,\d+)$/.test(cell) && !/^[+-]?[1-9]\d{0,2},\d{3}$/.test(cell);
  if (!isDecimalPoint && !isDecimalComma) return null;
  const figure = Number(cell.replace(',', '.'));
  return Number.isFinite(figure) ? figure : null;
}

/** Problem of a cell that `readFigure` rejects. */
export function unreadFigure(cell: string, what: 'number' | 'distance' = 'number'): CellProblem {
  if (cell === '') return { code: 'empty', values: { what } };
  if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(cell)) return { code: 'ambiguous-comma', values: { text: cell } };
  return { code: 'unreadable', values: { text: cell, what } };
}

/** Normalised heading: lower case, without punctuation, so that "Ring (deg)" and "ring_deg" are equal. */
export function tidyHeading(cell: string): string {
  return cell
    .toLowerCase()
    .replace(/[_()[\].:/-]+/g, ' ')
    .replace(/°/g, 'deg')
    .replace(/\s+/g, ' ')
    .trim();
}

import type { Problem } from '../../errors.js';

/** Rows of cells of a CSV file; the first row is line 1. The caller has already split the cells. */
export type CsvTable = readonly (readonly string[])[];

/** Result of reading a table: all of its content, or the problems and no content. */
export type CsvReading<T> =
  | { readonly status: 'read'; readonly items: readonly T[] }
  | { readonly status: 'unread'; readonly problems: readonly Problem[] };

/** Further problems are not listed. */
const MAX_PROBLEMS = 20;

/** Collects problems, each with its line and column. */
export class CsvProblems {
  readonly list: Problem[] = [];
  private count = 0;

  /** @param line - counted from 1 @param column - its heading, or null for the whole line */
  add(line: number, column: string | null, message: string, need: string, code = 'unreadable'): void {
    this.count++;
    if (this.list.length < MAX_PROBLEMS)
      this.list.push({ code, path: `line ${line}${column === null ? '' : `, ${column}`}`, message, need });
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
 * @returns null if it can't be read, or if a comma could separate thousands (`1,200`)
 */
export function readFigure(cell: string): number | null {
  if (/^[+-]?(\d+\.?\d*|\.\d+)$/.test(cell)) return Number(cell);
  if (/^[+-]?(\d*,\d+)$/.test(cell) && !/^[+-]?[1-9]\d{0,2},\d{3}$/.test(cell)) return Number(cell.replace(',', '.'));
  return null;
}

/** Message for a cell that `readFigure` rejects. */
export function unreadFigure(cell: string): [message: string, need: string] {
  if (cell === '') return ['the cell is empty', 'a number'];
  if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(cell))
    return [
      `“${cell}” may be ${cell.replace(',', '')} or ${cell.replace(',', '.')}`,
      'a decimal point, and no thousands separator',
    ];
  return [`“${cell}” can't be read as a number`, 'a plain number'];
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

import type { Problem } from '../../errors.js';

/** Rows of cells, as a CSV file has them: the first one is line 1. How they were separated is the business of whoever read the file. */
export type CsvTable = readonly (readonly string[])[];

/** What reading a table gives: everything in it, or what is wrong with it and nothing of it. */
export type CsvReading<T> =
  | { readonly status: 'read'; readonly items: readonly T[] }
  | { readonly status: 'unread'; readonly problems: readonly Problem[] };

/** So many problems are named; more would not help anyone. */
const MOST_PROBLEMS = 20;

/** Collects what is wrong, each with its line and column. */
export class CsvProblems {
  readonly list: Problem[] = [];
  private count = 0;

  /** @param line - counted from 1, as an editor counts @param column - its heading, or null for the line as a whole */
  add(line: number, column: string | null, message: string, need: string, code = 'unreadable'): void {
    this.count++;
    if (this.list.length < MOST_PROBLEMS)
      this.list.push({ code, path: `line ${line}${column === null ? '' : `, ${column}`}`, message, need });
  }

  get isFull(): boolean {
    return this.count >= MOST_PROBLEMS;
  }

  get hasAny(): boolean {
    return this.count > 0;
  }
}

/** A file with a byte order mark, blank lines and padded cells is as good as one without. */
export function tidyTable(table: CsvTable): { line: number; cells: string[] }[] {
  return table
    .map((row, index) => ({ line: index + 1, cells: row.map((cell) => cell.replace(/^\uFEFF/, '').trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
}

/**
 * Reads a plain number with a decimal point or a decimal comma.
 *
 * @returns null when it can't be read, or when a comma may as well part thousands (`1,200`)
 */
export function readFigure(cell: string): number | null {
  if (/^[+-]?(\d+\.?\d*|\.\d+)$/.test(cell)) return Number(cell);
  if (/^[+-]?(\d*,\d+)$/.test(cell) && !/^[+-]?[1-9]\d{0,2},\d{3}$/.test(cell)) return Number(cell.replace(',', '.'));
  return null;
}

/** What is said of a figure that `readFigure` refuses. */
export function unreadFigure(cell: string): [message: string, need: string] {
  if (cell === '') return ['the cell is empty', 'a number'];
  if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(cell))
    return [
      `“${cell}” may be ${cell.replace(',', '')} or ${cell.replace(',', '.')}`,
      'a decimal point, and no thousands separator',
    ];
  return [`“${cell}” can't be read as a number`, 'a plain number'];
}

/** Lower case, without units in brackets' punctuation, so that "Ring (deg)" and "ring_deg" are one heading. */
export function tidyHeading(cell: string): string {
  return cell
    .toLowerCase()
    .replace(/[_()[\].:/-]+/g, ' ')
    .replace(/°/g, 'deg')
    .replace(/\s+/g, ' ')
    .trim();
}

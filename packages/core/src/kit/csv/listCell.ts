import { readFigure, unreadFigure } from './table.js';
import type { CsvColumn } from './columns.js';

/** Several names in one cell, divided by bars. A bar or a backslash of a name has a backslash before it. */
export function writeList(names: readonly string[]): string {
  return names.map((name) => name.replace(/[\\|]/g, '\\$&')).join(' | ');
}

/** Reads what `writeList` wrote. Empty names are left out. */
export function readList(cell: string): string[] {
  const names = [''];
  for (let at = 0; at < cell.length; at++) {
    const letter = cell[at]!;
    if (letter === '|') names.push('');
    else names[names.length - 1] += letter === '\\' && at + 1 < cell.length ? cell[++at]! : letter;
  }
  return names.map((name) => name.trim()).filter(Boolean);
}

/** A column that holds several names. */
export function namesColumn<T>(
  heading: string,
  get: (item: T) => readonly string[],
  set: (item: T, names: readonly string[]) => T,
): CsvColumn<T> {
  return { heading, write: (item) => writeList(get(item)), read: (cell, item) => ({ item: set(item, readList(cell)) }) };
}

/** A column that holds several numbers, divided by spaces or bars. */
export function figuresColumn<T>(
  heading: string,
  get: (item: T) => readonly number[],
  set: (item: T, figures: readonly number[]) => T,
): CsvColumn<T> {
  return {
    heading,
    write: (item) => get(item).join(' '),
    read: (cell, item) => {
      const parts = cell.split(/[\s|]+/).filter(Boolean);
      const figures = parts.map(readFigure);
      const wrong = figures.indexOf(null);
      return wrong < 0 ? { item: set(item, figures as number[]) } : { problem: unreadFigure(parts[wrong]!) };
    },
  };
}

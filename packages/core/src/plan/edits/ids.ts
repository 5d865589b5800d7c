import type { Mark } from '../../floor/index.js';

/** A new id for the list, such as `mark-3`. It is higher than any id in use, so that undo can't create a duplicate. */
export function nextId(prefix: string, items: readonly { readonly id: string }[]): string {
  const used = items.map(({ id }) => Number(id.slice(prefix.length + 1))).filter(Number.isInteger);
  return `${prefix}-${Math.max(0, ...used) + 1}`;
}

/** First unused mark letter: A … Z, then A2, B2 … */
export function nextLetter(marks: readonly Mark[]): string {
  const used = new Set(marks.map(({ letter }) => letter));
  for (let round = 1; ; round++) {
    for (let code = 65; code <= 90; code++) {
      const letter = String.fromCharCode(code) + (round === 1 ? '' : String(round));
      if (!used.has(letter)) return letter;
    }
  }
}

/** The list with one item changed; the same list if no item has the id. */
export function withItem<T extends { readonly id: string }>(
  items: readonly T[],
  id: string,
  change: (item: T) => T,
): readonly T[] {
  return items.some((item) => item.id === id) ? items.map((item) => (item.id === id ? change(item) : item)) : items;
}

export function without<T extends { readonly id: string }>(items: readonly T[], id: string): readonly T[] {
  return items.filter((item) => item.id !== id);
}

export function clamp(value: number, low: number, high: number): number {
  return Math.min(Math.max(value, low), Math.max(low, high));
}

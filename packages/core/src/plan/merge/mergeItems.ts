import { isDeepEqual } from '../../deepEqual.js';
import { type ClashRule, mergeValue, type Sides } from './mergeValue.js';

interface Item {
  readonly id: string;
  /** Whose it is, for marks and beats */
  readonly subjectId?: string | null;
}

/**
 * Merges lists item by item. An item that one side removed and the other changed is treated as changed by both. What only they have added
 * follows the item that it follows there.
 *
 * @returns null if an id does not mean the same on both sides: both have added one, or one has become another's
 */
export function mergeItems<T extends Item>({ base, mine, theirs }: Sides<readonly T[]>, rule: ClashRule): readonly T[] | null {
  const [was, here, there] = [base, mine, theirs].map((list) => new Map(list.map((item) => [item.id, item])));
  const isAmbiguous = (id: string) => {
    const all = [was!.get(id), here!.get(id), there!.get(id)] as const;
    const [before, ...after] = all;
    if (before === undefined) return !isDeepEqual(after[0], after[1]);
    return after.some((item) => item !== undefined && item.subjectId !== before.subjectId);
  };
  const shared = mine.filter(({ id }) => was!.has(id) || there!.has(id));
  if ([...shared, ...theirs.filter(({ id }) => was!.has(id))].some(({ id }) => isAmbiguous(id))) return null;
  const merge = (id: string) => mergeValue({ base: was!.get(id), mine: here!.get(id), theirs: there!.get(id) }, rule);
  const merged = mine.flatMap(({ id }) => merge(id) ?? []);
  for (const [index, { id }] of theirs.entries()) {
    if (here!.has(id)) continue;
    const added = merge(id);
    if (added === undefined) continue;
    const before = theirs.slice(0, index).findLast((item) => merged.some((kept) => kept.id === item.id));
    merged.splice(before ? merged.findIndex((item) => item.id === before.id) + 1 : 0, 0, added);
  }
  return merged;
}

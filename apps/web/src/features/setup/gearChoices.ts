import type { KitItemView } from '@still-heron/contract';
import type { KitItems, KitKind } from '@still-heron/core';

/** Placeholder id: figures of this shot's own. */
export const OWN = 'own';
/** Placeholder id: none. */
export const NONE = 'none';

/** Kit items as choices, including the shot's own item if the kit no longer has it. */
export function choicesOf<K extends KitKind>(
  items: readonly KitItemView<K>[],
  taken: string | null,
  takenName: string,
  name: (item: KitItems[K]) => string,
) {
  const choices = items.map(({ id, item }) => ({ value: id, word: name(item) }));
  return taken !== null && !choices.some(({ value }) => value === taken)
    ? [...choices, { value: taken, word: `${takenName} (no longer in Kit)` }]
    : choices;
}

import type { KitItemView } from '@still-heron/contract';
import type { KitItems, KitKind } from '@still-heron/core';

/** Not an id: figures that belong to this shot alone. */
export const OWN = 'own';
/** Not an id: the shot does without, or without saying. */
export const NONE = 'none';

/** The kit's items as choices, and the one a shot took even when the kit has it no more. */
export function choicesOf<K extends KitKind>(
  items: readonly KitItemView<K>[],
  taken: string | null,
  takenName: string,
  name: (item: KitItems[K]) => string,
) {
  const choices = items.map(({ id, item }) => ({ value: id, word: name(item) }));
  return taken !== null && !choices.some(({ value }) => value === taken)
    ? [...choices, { value: taken, word: `${takenName} (no more in Kit)` }]
    : choices;
}

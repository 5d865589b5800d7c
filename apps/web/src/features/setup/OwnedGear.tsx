import type { KitItems } from '@still-heron/core';
import { Choice } from '../../ui/fields/Choice';
import { useKit } from '../../shared/api/useKit';
import { choicesOf, NONE, OWN } from './gearChoices';

interface OwnedGearProps<K extends 'wheels' | 'rigs'> {
  readonly kind: K;
  readonly title: string;
  readonly taken: KitItems[K] | null;
  readonly takenFrom: string | null;
  /** Label for none */
  readonly nothing: string;
  readonly hint: string | undefined;
  readonly onPick: (name: string, id: string | null, item: KitItems[K] | null) => void;
}

/** Optional gear: none, one from the kit, or one that only the shot still has. */
export function OwnedGear<K extends 'wheels' | 'rigs'>({
  kind,
  title,
  taken,
  takenFrom,
  nothing,
  hint,
  onPick,
}: OwnedGearProps<K>) {
  const { items } = useKit(kind);
  if (items.length === 0 && !taken) return null;
  const pick = (value: string) => {
    const view = items.find(({ id }) => id === value);
    const word = title.toLowerCase();
    onPick(view ? `${word} ${view.item.name}` : `no ${word}`, view?.id ?? null, view?.item ?? null);
  };
  return (
    <section>
      <h2>{title}</h2>
      <Choice
        label={title}
        isBare
        value={taken === null ? NONE : (takenFrom ?? OWN)}
        choices={[
          { value: NONE, word: nothing },
          ...choicesOf(items, takenFrom, taken?.name ?? '', ({ name }) => name),
          ...(taken && takenFrom === null ? [{ value: OWN, word: `${taken.name}, as the shot keeps it` }] : []),
        ]}
        hint={hint}
        onPick={pick}
      />
    </section>
  );
}

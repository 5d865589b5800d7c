import type { KitLens } from '@still-heron/core';
import { HOLD_WORDS } from '@still-heron/wording';
import { useAppSelector } from '../../../app/store';
import { Choice } from '../../../ui/fields/Choice';
import { TesterField } from '../TesterField';
import { today } from '../../../shared/today';
import { useOpenItem } from '../useKit';

/** Test whether a zoom keeps focus: focus at the long end, go wide, check. The result is stored with tester and date. */
export function HoldTest({ item }: { readonly item: KitLens }) {
  const { edit } = useOpenItem('lenses');
  const tester = useAppSelector((state) => state.preferences.tester);
  return (
    <section>
      <h2>Zooming</h2>
      <p className="field-hint">
        Focus at the long end, magnified. Zoom out in one go without touching the ring, magnify again: is it still sharp?
      </p>
      <Choice
        label="while it zooms it"
        value={item.lens.holdsFocus}
        choices={(['untested', 'holds', 'drifts'] as const).map((value) => ({ value, word: HOLD_WORDS[value] }))}
        hint={
          item.holdTestedOn ? `tried on ${item.holdTestedOn}${item.holdTestedBy ? ` by ${item.holdTestedBy}` : ''}` : undefined
        }
        onPick={(holdsFocus) =>
          edit('test its hold', (now) => ({
            ...now,
            lens: { ...now.lens, holdsFocus },
            holdTestedOn: holdsFocus === 'untested' ? '' : today(),
            holdTestedBy: holdsFocus === 'untested' ? '' : tester,
          }))
        }
      />
      <TesterField />
    </section>
  );
}

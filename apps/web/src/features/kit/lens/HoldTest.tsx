import type { KitLens } from '@still-heron/core';
import { HOLD_WORDS } from '@still-heron/wording';
import { useAppSelector } from '../../../shared/store/hooks';
import { Choice } from '../../../ui/fields/Choice';
import { TesterField } from '../TesterField';
import { today } from '../../../shared/today';
import { useOpenItem } from '../useOpenItem';
import fieldStyles from '../../../ui/fields/fields.module.css';

/** Test whether a zoom keeps focus: focus at the long end, go wide, check. The result is stored with tester and date. */
export function HoldTest({ item }: { readonly item: KitLens }) {
  const { edit } = useOpenItem('lenses');
  const tester = useAppSelector((state) => state.preferences.tester);
  return (
    <section>
      <h2>Zooming</h2>
      <p className={fieldStyles.fieldHint}>
        Focus at the long end, magnified. Zoom out without touching the ring, and magnify again. Is it still sharp?
      </p>
      <Choice
        label="focus while zooming"
        value={item.lens.holdsFocus}
        choices={(['untested', 'holds', 'drifts'] as const).map((value) => ({ value, word: HOLD_WORDS[value] }))}
        hint={
          item.holdTestedOn ? `tested on ${item.holdTestedOn}${item.holdTestedBy ? ` by ${item.holdTestedBy}` : ''}` : undefined
        }
        onPick={(holdsFocus) =>
          edit('change the zoom test', (now) => ({
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

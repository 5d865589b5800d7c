import type { NextAdvice, ShotPlan, UnitSystem } from '@still-heron/core';
import { correctionText, findingCorrectionText } from '@still-heron/wording';
import { useEdit } from '../shot/useEdit';
import { useKeys } from '../../shared/keys/useKeys';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import textStyles from '../../ui/text.module.css';
import offerStyles from '../../ui/offers.module.css';

interface Props {
  readonly next: Pick<NextAdvice, 'corrections' | 'others'>;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Corrections for the next take, of pulls and of other places; a key applies the first. */
export function Corrections({ next, plan, units }: Props) {
  const edit = useEdit();
  const all = [
    ...next.corrections.map((one) => ({ key: one.pullId, text: correctionText(one, plan, units), corrected: one.plan })),
    ...next.others.map((one) => ({
      key: `${JSON.stringify(one.at)} ${one.found}`,
      text: findingCorrectionText(one, plan),
      corrected: one.plan,
    })),
  ];
  const take = ({ text, corrected }: (typeof all)[number]) => edit(text, () => corrected!);
  const first = all.find(({ corrected }) => corrected !== null);
  useKeys('x', () => {
    if (first) take(first);
  });
  return (
    <section>
      <h2>For the next take</h2>
      {all.length === 0 && <p className={textStyles.muted}>Nothing to change.</p>}
      <ul className={offerStyles.offers}>
        {all.map((one) => (
          <li key={one.key}>
            <span>{one.text}</span>
            {one.corrected && (
              <Button look="quiet" onClick={() => take(one)}>
                Apply {one === first && <Key>X</Key>}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

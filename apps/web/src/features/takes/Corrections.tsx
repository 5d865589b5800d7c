import type { Correction, ShotPlan, UnitSystem } from '@still-heron/core';
import { correctionText } from '@still-heron/wording';
import { useEdit } from '../shot/useEdit';
import { useKeys } from '../../shared/keys/useKeys';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import textStyles from '../../ui/text.module.css';
import offerStyles from '../../ui/offers.module.css';

interface Props {
  readonly corrections: readonly Correction[];
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Corrections for the next take; a key applies the first. */
export function Corrections({ corrections, plan, units }: Props) {
  const edit = useEdit();
  const take = (correction: Correction) => edit(correctionText(correction, plan, units), () => correction.plan!);
  const first = corrections.find((correction) => correction.plan !== null);
  useKeys('x', () => {
    if (first) take(first);
  });
  return (
    <section>
      <h2>For the next take</h2>
      {corrections.length === 0 && <p className={textStyles.muted}>Nothing to change.</p>}
      <ul className={offerStyles.offers}>
        {corrections.map((correction) => (
          <li key={correction.pullId}>
            <span>{correctionText(correction, plan, units)}</span>
            {correction.plan && (
              <Button look="quiet" onClick={() => take(correction)}>
                Apply {correction === first && <Key>X</Key>}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

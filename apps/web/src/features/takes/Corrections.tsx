import type { Correction, ShotPlan, UnitSystem } from '@still-heron/core';
import { correctionText } from '@still-heron/wording';
import { useEdit } from '../shot/useEdit';
import { useKeys } from '../../shared/keys/useKeys';
import './takes.css';

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
      {corrections.length === 0 && <p className="haze">Nothing to change.</p>}
      <ul className="corrections">
        {corrections.map((correction) => (
          <li key={correction.pullId}>
            <span>{correctionText(correction, plan, units)}</span>
            {correction.plan && (
              <button type="button" className="quiet" onClick={() => take(correction)}>
                Apply {correction === first && <kbd className="key">X</kbd>}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

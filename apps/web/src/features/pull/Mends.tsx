import type { Mend, ShotPlan, UnitSystem } from '@still-heron/core';
import { useState } from 'react';
import { useAppDispatch } from '../../app/store';
import { useKeys } from '../../app/useKeys';
import { mendsFor } from '../../workers/evaluator';
import { editPlan } from '../shot/shotSlice';
import { useQuietly } from '../shot/useQuietly';
import { mendName, mendResult, mendStep } from './mendWords';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Nothing is tried while a hand is still at it. */
const QUIET_MS = 300;

/** So many fit beside each other; the rest are there on request. */
const FIRST_SHOWN = 2;

/** What would mend the plan, in a row that is there whether or not it is filled, so that nothing under it moves while something is dragged: each tried in the background and offered with its result; X takes the first. */
export function Mends({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const { mends, isCurrent } = useMends(plan);
  const [showsAll, setShowsAll] = useState(false);
  const shown = showsAll ? mends : mends.slice(0, FIRST_SHOWN);
  const take = (mend: Mend) => dispatch(editPlan(mendStep(mend, plan, units), () => mend.plan));
  useKeys('x', () => {
    if (mends[0] && isCurrent) take(mends[0]);
  });
  return (
    <ul className={showsAll ? 'mends is-open' : 'mends'} aria-label="What would mend it">
      {shown.map((mend, index) => (
        <li key={mendName(mend, plan, units)}>
          <button type="button" disabled={!isCurrent} onClick={() => take(mend)}>
            <strong>{mendName(mend, plan, units)}</strong>{' '}
            <span className={mend.outcome === 'sharp' ? 'tone-sharp' : 'tone-edge'}>{mendResult(mend)}</span>
            {index === 0 && <kbd className="key">X</kbd>}
          </button>
        </li>
      ))}
      {mends.length > FIRST_SHOWN && (
        <li>
          <button type="button" className="mends-more" aria-expanded={showsAll} onClick={() => setShowsAll(!showsAll)}>
            {showsAll ? 'Fewer' : `${mends.length - FIRST_SHOWN} more`}
          </button>
        </li>
      )}
    </ul>
  );
}

/** The newest mends, and whether they are of the plan as it stands: while a hand is at it the last ones stay where they are, out of reach. */
function useMends(plan: ShotPlan): { readonly mends: readonly Mend[]; readonly isCurrent: boolean } {
  const known = useQuietly(plan, mendsFor, QUIET_MS);
  return { mends: known?.found ?? [], isCurrent: known?.of === plan };
}

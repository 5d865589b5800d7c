import type { Fix, ShotPlan, UnitSystem } from '@still-heron/core';
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

/** Delay from the last edit, so that a drag is not disturbed. */
const QUIET_MS = 300;

/** Number of fixes shown at first; the rest on request. */
const FIRST_SHOWN = 2;

/**
 * Fixes for the plan, tried in the background and shown with their results; X applies the first. The row keeps its height, so
 * that nothing moves during a drag.
 */
export function Mends({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const { mends: fixes, isCurrent } = useMends(plan);
  const [showsAll, setShowsAll] = useState(false);
  const shown = showsAll ? fixes : fixes.slice(0, FIRST_SHOWN);
  const take = (fix: Fix) => dispatch(editPlan(mendStep(fix, plan, units), () => fix.plan));
  useKeys('x', () => {
    if (fixes[0] && isCurrent) take(fixes[0]);
  });
  return (
    <ul className={showsAll ? 'mends is-open' : 'mends'} aria-label="What would mend it">
      {shown.map((fix, index) => (
        <li key={mendName(fix, plan, units)}>
          <button type="button" disabled={!isCurrent} onClick={() => take(fix)}>
            <strong>{mendName(fix, plan, units)}</strong>{' '}
            <span className={fix.outcome === 'sharp' ? 'tone-sharp' : 'tone-edge'}>{mendResult(fix)}</span>
            {index === 0 && <kbd className="key">X</kbd>}
          </button>
        </li>
      ))}
      {fixes.length > FIRST_SHOWN && (
        <li>
          <button type="button" className="mends-more" aria-expanded={showsAll} onClick={() => setShowsAll(!showsAll)}>
            {showsAll ? 'Fewer' : `${fixes.length - FIRST_SHOWN} more`}
          </button>
        </li>
      )}
    </ul>
  );
}

/** Latest fixes, and whether they belong to the current plan. During an edit the previous ones stay visible but disabled. */
function useMends(plan: ShotPlan): { readonly mends: readonly Fix[]; readonly isCurrent: boolean } {
  const known = useQuietly(plan, mendsFor, QUIET_MS);
  return { mends: known?.found ?? [], isCurrent: known?.of === plan };
}

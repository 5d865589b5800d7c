import type { Fix, ShotPlan, UnitSystem } from '@still-heron/core';
import { fixName, fixResult, fixStepName } from '@still-heron/wording';
import { useState } from 'react';
import { useAppDispatch } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { fixesFor } from '../../shared/workers/evaluator';
import { editPlan } from '../shot/shotSlice';
import { useAfterPause } from '../shot/useQuietly';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Delay from the last edit, so that a drag is not disturbed. */
const EDIT_PAUSE_MS = 300;

/** Number of fixes shown at first; the rest on request. */
const FIRST_SHOWN = 2;

/**
 * Fixes for the plan, tried in the background and shown with their results; X applies the first. The row keeps its height, so
 * that nothing moves during a drag.
 */
export function Fixes({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const { mends: fixes, isCurrent } = useFixes(plan);
  const [showsAll, setShowsAll] = useState(false);
  const shown = showsAll ? fixes : fixes.slice(0, FIRST_SHOWN);
  const take = (fix: Fix) => dispatch(editPlan(fixStepName(fix, plan, units), () => fix.plan));
  useKeys('x', () => {
    if (fixes[0] && isCurrent) take(fixes[0]);
  });
  return (
    <ul className={showsAll ? 'mends is-open' : 'mends'} aria-label="Fixes">
      {shown.map((fix, index) => (
        <li key={fixName(fix, plan, units)}>
          <button type="button" disabled={!isCurrent} onClick={() => take(fix)}>
            <strong>{fixName(fix, plan, units)}</strong>{' '}
            <span className={fix.outcome === 'sharp' ? 'tone-sharp' : 'tone-edge'}>{fixResult(fix)}</span>
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
function useFixes(plan: ShotPlan): { readonly mends: readonly Fix[]; readonly isCurrent: boolean } {
  const known = useAfterPause(plan, fixesFor, EDIT_PAUSE_MS);
  return { mends: known?.found ?? [], isCurrent: known?.of === plan };
}

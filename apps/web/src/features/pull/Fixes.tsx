import type { Fix, ShotPlan, UnitSystem } from '@still-heron/core';
import { fixName, fixResult, fixStepName } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { fixesFor } from '../../shared/workers/evaluator';
import { editPlan } from '../shot/shotSlice';
import { useAfterPause } from '../shot/useAfterPause';
import { Key } from '../../ui/Key';
import styles from './Fixes.module.css';
import textStyles from '../../ui/text.module.css';

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
  const { fixes, isCurrent } = useFixes(plan);
  const [showsAll, setShowsAll] = useState(false);
  const shown = showsAll ? fixes : fixes.slice(0, FIRST_SHOWN);
  const take = (fix: Fix) => dispatch(editPlan(fixStepName(fix, plan, units), () => fix.plan));
  useKeys('x', () => {
    if (fixes[0] && isCurrent) take(fixes[0]);
  });
  return (
    <ul className={clsx(styles.fixes, showsAll && styles.isOpen)} aria-label="Fixes">
      {shown.map((fix, index) => (
        <li key={fixName(fix, plan, units)}>
          <button type="button" disabled={!isCurrent} onClick={() => take(fix)}>
            <strong>{fixName(fix, plan, units)}</strong>{' '}
            <span className={fix.outcome === 'sharp' ? textStyles.toneSharp : textStyles.toneEdge}>{fixResult(fix)}</span>
            {index === 0 && <Key>X</Key>}
          </button>
        </li>
      ))}
      {fixes.length > FIRST_SHOWN && (
        <li>
          <button type="button" className={styles.fixesMore} aria-expanded={showsAll} onClick={() => setShowsAll(!showsAll)}>
            {showsAll ? 'Fewer' : `${fixes.length - FIRST_SHOWN} more`}
          </button>
        </li>
      )}
    </ul>
  );
}

/** Latest fixes, and whether they belong to the current plan. During an edit the previous ones stay visible but disabled. */
function useFixes(plan: ShotPlan): { readonly fixes: readonly Fix[]; readonly isCurrent: boolean } {
  const known = useAfterPause(plan, fixesFor, EDIT_PAUSE_MS);
  return { fixes: known?.found ?? [], isCurrent: known?.of === plan };
}

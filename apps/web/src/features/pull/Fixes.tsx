import { type Fix, type RankedFix, rankFixes, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { fixName, fixResult, fixStepName, fixTakes } from '@still-heron/wording';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { dragging } from '../../shared/gestures/dragging';
import { useKeys } from '../../shared/keys/useKeys';
import { fixesFor, giveUpFixes } from '../../shared/workers/evaluator';
import { editPlan } from '../shot/shotSlice';
import { SearchProgress } from '../shot/SearchProgress';
import { useAfterPause } from '../shot/useAfterPause';
import { useComparedRates } from '../shot/useComparedRates';
import { type Search, useSearch } from '../shot/useSearch';
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
 * Fixes for the plan, tried in the background: what the ideal take gains, and how many takes are kept. X applies the first. The row keeps
 * its height, so that nothing moves during a drag.
 */
export function Fixes({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const { fixes, isCurrent, search } = useFixes(plan);
  const [showsAll, setShowsAll] = useState(false);
  const shown = showsAll ? fixes : fixes.slice(0, FIRST_SHOWN);
  const take = (fix: RankedFix) => dispatch(editPlan(fixStepName(fix, plan, units), () => fix.plan));
  useKeys('x', () => {
    if (fixes[0] && isCurrent) take(fixes[0]);
  });
  const isSlow = useSlow(!isCurrent && !search.isGivenUp && fixes.length === 0, SLOW_MS);
  return (
    <ul className={clsx(styles.fixes, showsAll && styles.isOpen)} aria-label="Fixes">
      {(isSlow || search.isGivenUp) && (
        <li className={styles.search}>
          <SearchProgress search={search} doing="Looking for fixes" />
        </li>
      )}
      {shown.map((fix, index) => (
        <li key={fixName(fix, plan, units)}>
          <button type="button" disabled={!isCurrent} onClick={() => take(fix)}>
            <strong>{fixName(fix, plan, units)}</strong>{' '}
            <span className={isGood(fix, plan) ? textStyles.toneSharp : textStyles.toneEdge}>
              → {[fixTakes(fix), fixResult(fix)].filter(Boolean).join('; ')}
            </span>
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

/** A shorter search shows nothing. */
const SLOW_MS = 1000;

/** Whether something has been so for a while. */
function useSlow(isWaiting: boolean, afterMs: number): boolean {
  const [isSlow, setIsSlow] = useState(false);
  useEffect(() => {
    if (!isWaiting) return undefined;
    const timer = setTimeout(() => setIsSlow(true), afterMs);
    return () => {
      clearTimeout(timer);
      setIsSlow(false);
    };
  }, [isWaiting, afterMs]);
  return isSlow;
}

/** Sharp as planned, and often enough. */
function isGood({ outcome, keepRate, takes }: RankedFix, { goals }: ShotPlan): boolean {
  return outcome === 'sharp' && takes !== 'fewer' && keepRate !== null && keepRate >= goals.targetKeepRate;
}

/**
 * Latest fixes, sorted by the takes that they gain, and whether they belong to the current plan. During an edit the previous ones stay
 * visible but disabled. A search that runs tells how far it is, and can be given up.
 */
function useFixes(plan: ShotPlan): {
  readonly fixes: readonly RankedFix[];
  readonly isCurrent: boolean;
  readonly search: Search;
} {
  const { found, search } = useFixSearch(plan);
  const changed = useMemo(() => found?.found.map(({ plan: tried }) => tried) ?? [], [found]);
  const compared = useComparedRates(found, found?.of ?? null, changed);
  if (found?.found.length === 0) return { search, fixes: [], isCurrent: found.of === plan };
  if (!compared?.key) return { search, fixes: [], isCurrent: false };
  const { key, before, rates, isDone } = compared;
  return { search, fixes: rankFixes(key.found, rates, before), isCurrent: key.of === plan && isDone };
}

function useFixSearch(plan: ShotPlan): {
  readonly found: ReturnType<typeof useAfterPause<readonly Fix[]>>;
  readonly search: Search;
} {
  const { onStart, onTried, ...search } = useSearch(plan);
  const work = useCallback(
    (searched: ShotPlan) => {
      onStart();
      return fixesFor(searched, onTried);
    },
    [onStart, onTried],
  );
  const isHeld = useSyncExternalStore(dragging.subscribe, dragging.is);
  // what a drag will have changed is not worth a search
  useEffect(() => {
    if (isHeld) giveUpFixes();
  }, [isHeld]);
  const found = useAfterPause(search.isGivenUp || isHeld ? null : plan, work, EDIT_PAUSE_MS);
  const giveUp = () => {
    giveUpFixes();
    search.giveUp();
  };
  return { found, search: { ...search, giveUp } };
}

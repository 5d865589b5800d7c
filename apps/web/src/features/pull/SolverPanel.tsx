import { type ShotPlan, type TakesKept, takesKept, type UnitSystem } from '@still-heron/core';
import { fixTakes, smallestChangeText, impossibleText, solutionText, SOLVER_WAY_WORDS } from '@still-heron/wording';
import { useEffect, useMemo, useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { type SolvedTracks, solveTracksFor } from '../../shared/workers/evaluator';
import type { TrackOffer } from '../../shared/workers/protocol';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { useComparedRates } from '../shot/useComparedRates';
import { Button } from '../../ui/Button';
import styles from './SolverPanel.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly onDone: () => void;
}

/** Shorter waits show no progress. */
const PROGRESS_DELAY_MS = 200;

/**
 * Focus tracks worked out by the program, each with its result; a press applies one. If none meets all requirements, the reason
 * and the smallest helpful changes.
 */
export function SolverPanel({ plan, units, onDone }: Props) {
  const dispatch = useAppDispatch();
  const { solved, done } = useSolvedTracks(plan);
  const rates = useOfferRates(plan, solved);
  const take = (name: string, solution: ShotPlan) => {
    dispatch(editPlan(name, () => solution));
    dispatch(itemSelected(null));
    onDone();
  };
  if (solved === null) return <Working done={done} onCancel={onDone} />;
  if (solved.offers.length === 0)
    return (
      <p className={styles.layWait}>
        Nothing has to be sharp yet. Say who must be sharp and when, then the pulls can be worked out.
      </p>
    );
  const impossible = solved.offers[0]!.solution.impossible;
  return (
    <div>
      {impossible && (
        <p className={clsx(styles.layImpossible, textStyles.toneEdge)} role="note">
          {impossibleText(impossible)}
        </p>
      )}
      <div className={styles.layLine} role="group" aria-label="Work out the pulls">
        {solved.offers.map((offer, index) => (
          <OfferButton
            key={offer.solution.way}
            offer={offer}
            takes={rates?.[index] ?? null}
            targetKeepRate={plan.goals.targetKeepRate}
            onTake={take}
          />
        ))}
      </div>
      {solved.changes.length > 0 && (
        <div className={clsx(styles.layLine, styles.layChanges)} role="group" aria-label="Changes that make everything sharp">
          <span className={textStyles.muted}>Everything would be sharp with</span>
          {solved.changes.map((change) => {
            const words = smallestChangeText(change, plan, units);
            return (
              <Button key={change.kind} look="quiet" onClick={() => dispatch(editPlan(words, () => change.plan))}>
                {words}
              </Button>
            );
          })}
        </div>
      )}
    </div>
  );
}

/** Number of ways tried so far, once it takes noticeably long. */
function Working({ done, onCancel }: { readonly done: number | null; readonly onCancel: () => void }) {
  return (
    <p className={styles.layWait} role="status">
      {done === null ? <span>&nbsp;</span> : <span>Working out the pulls: {done} of 4 ways tried</span>}
      {done !== null && (
        <Button look="quiet" onClick={onCancel}>
          Cancel
        </Button>
      )}
    </p>
  );
}

interface OfferProps {
  readonly offer: TrackOffer;
  /** null until known */
  readonly takes: TakesKept | null;
  readonly targetKeepRate: number;
  readonly onTake: (name: string, solution: ShotPlan) => void;
}

function OfferButton({ offer, takes, targetKeepRate, onTake }: OfferProps) {
  const { way, plan: solution } = offer.solution;
  const isGood = offer.isWhole && (takes?.keepRate ?? 0) >= targetKeepRate;
  return (
    <button type="button" onClick={() => onTake(`work out the pulls: ${SOLVER_WAY_WORDS[way].toLowerCase()}`, solution)}>
      <strong>{SOLVER_WAY_WORDS[way]}</strong>
      <span className={isGood ? textStyles.toneSharp : textStyles.toneEdge}>{takes ? fixTakes(takes) : <>&nbsp;</>}</span>
      <span className={textStyles.muted}>{solutionText(offer)}</span>
    </button>
  );
}

/** What each offered track does to the takes; null until known. */
function useOfferRates(plan: ShotPlan, solved: SolvedTracks | null): readonly (TakesKept | null)[] | null {
  const changed = useMemo(() => solved?.offers.map(({ solution }) => solution.plan) ?? [], [solved]);
  const compared = useComparedRates(solved, plan, changed);
  if (!solved || compared?.key !== solved) return null;
  return compared.rates.map((rate) => (rate === null ? null : takesKept(rate, compared.before)));
}

/**
 * Works out tracks for a plan in the background, until the plan changes or the panel closes. `done` counts finished ways once
 * it takes noticeably long.
 */
function useSolvedTracks(plan: ShotPlan): { readonly solved: SolvedTracks | null; readonly done: number | null } {
  const [found, setFound] = useState<{ readonly plan: ShotPlan; readonly solved: SolvedTracks } | null>(null);
  const [done, setDone] = useState<number | null>(null);
  useEffect(() => {
    let [isWanted, isSettled, count, isTold] = [true, false, 0, false];
    const { solved, cancel } = solveTracksFor(plan, (now) => {
      count = now;
      if (isTold && isWanted) setDone(now);
    });
    const timer = setTimeout(() => {
      isTold = true;
      setDone(count);
    }, PROGRESS_DELAY_MS);
    const settle = (result: SolvedTracks) => {
      isSettled = true;
      clearTimeout(timer);
      if (!isWanted) return;
      setDone(null);
      setFound({ plan, solved: result });
    };
    solved.then(settle, (error: unknown) => {
      console.error(error);
      settle({ offers: [], changes: [] });
    });
    return () => {
      isWanted = false;
      clearTimeout(timer);
      setDone(null);
      if (!isSettled) cancel();
    };
  }, [plan]);
  return { solved: found?.plan === plan ? found.solved : null, done };
}

import type { ShotPlan, UnitSystem } from '@still-heron/core';
import { smallestChangeText, impossibleText, solutionText, SOLVER_WAY_WORDS } from '@still-heron/wording';
import { useEffect, useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { type SolvedTracks, solveTracksFor } from '../../shared/workers/evaluator';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
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
  const take = (name: string, solution: ShotPlan) => {
    dispatch(editPlan(name, () => solution));
    dispatch(itemSelected(null));
    onDone();
  };
  if (solved === null)
    return (
      <p role="status">
        {done === null ? <span>&nbsp;</span> : <span>Working out the pulls: {done} of 4 ways tried</span>}
        {done !== null && (
          <Button look="quiet" onClick={onDone}>
            Cancel
          </Button>
        )}
      </p>
    );
  if (solved.offers.length === 0)
    return <p>Nothing has to be sharp yet. Say who must be sharp and when, then the pulls can be worked out.</p>;
  const impossible = solved.offers[0]!.solution.impossible;
  return (
    <div>
      {impossible && (
        <p className={clsx(styles.layImpossible, textStyles.toneEdge)} role="note">
          {impossibleText(impossible)}
        </p>
      )}
      <div role="group" aria-label="Work out the pulls">
        {solved.offers.map((offer) => {
          const { way, plan: solution } = offer.solution;
          return (
            <button
              key={way}
              type="button"
              onClick={() => take(`work out the pulls: ${SOLVER_WAY_WORDS[way].toLowerCase()}`, solution)}
            >
              <strong>{SOLVER_WAY_WORDS[way]}</strong>
              <span className={offer.isWhole ? textStyles.toneSharp : textStyles.toneEdge}>{solutionText(offer)}</span>
            </button>
          );
        })}
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

import {
  drawLayoutOf,
  type IdealTake,
  type Improvement,
  rankImprovements,
  type ShotPlan,
  type RankedImprovement,
  type UnitSystem,
} from '@still-heron/core';
import { idealTakeText, improvementCost, improvementName, of100, minutesText } from '@still-heron/wording';
import { useCallback, useMemo } from 'react';
import clsx from 'clsx';
import type { TrialRequest } from '../../shared/workers/simulation/trialRunner';
import { improvementsFor } from '../../shared/workers/simulation/workers';
import { SearchProgress } from '../shot/SearchProgress';
import { useAfterPause } from '../shot/useAfterPause';
import { useEdit } from '../shot/useEdit';
import { type Search, useSearch } from '../shot/useSearch';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from '../shot/useTrialRates';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import offerStyles from '../../ui/offers.module.css';
import styles from './ImprovementPanel.module.css';
import stopStyles from './stop.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Delay from the last edit. */
const EDIT_PAUSE_MS = 350;
/** Trials per improvement: enough to show a gain of two in a hundred. */
const IMPROVEMENT_TRIALS = 800;
const MAX_SHOWN = 8;

/** Improvements: each error switched off, each fix, each stop; with gain and cost. */
export function ImprovementPanel({ plan, units }: Props) {
  const edit = useEdit();
  const { of, improvements, asks, search, onTried } = useImprovements(plan);
  const { known } = useTrialRates(improvements, asks, { takes: IMPROVEMENT_TRIALS, rank: RANKS.improvements, onFirst: onTried });
  const isCurrent = of === plan && known?.key === improvements;
  // until the new results are known, the previous ones stay visible but disabled
  const [now, ...rates] = known?.progress.rates ?? [];
  const ranked = now
    ? rankImprovements(
        known!.key,
        rates.map((rate) => rate?.keepRate ?? null),
        { keepRate: now.keepRate, targetKeepRate: plan.goals.targetKeepRate },
      ).slice(0, MAX_SHOWN)
    : null;
  // what the ideal take loses or gains by it; nothing if it stays as it is
  const [idealNow, ...ideals] = known?.progress.ideals ?? [];
  const idealOf = ({ index }: RankedImprovement) => {
    const ideal = ideals[index] ?? null;
    return ideal && idealNow && hasOtherTime(ideal, idealNow) ? ideal : null;
  };
  if (ranked === null || search.isGivenUp)
    return (
      <p className={textStyles.muted}>
        <SearchProgress search={search} doing="Trying each with the same simulated takes" />
      </p>
    );
  if (ranked.length === 0)
    return (
      <p className={textStyles.muted}>
        {now!.keepRate > 0.97
          ? 'Nothing is needed: nearly every take is kept.'
          : 'Nothing that was tried gains two takes of 100.'}
      </p>
    );
  return (
    <>
      <ol data-testid="improvements" className={offerStyles.offers} aria-busy={!isCurrent}>
        {ranked.map((improvement) => (
          <li key={improvementName(improvement.change, plan, units)}>
            <ImprovementRow help={improvement} ideal={idealOf(improvement)} plan={plan} units={units} />
            {improvement.change.kind !== 'without' && (
              <Button
                look="quiet"
                disabled={!isCurrent}
                aria-label={`Apply: ${improvementName(improvement.change, plan, units)}`}
                onClick={() => edit(improvementName(improvement.change, plan, units), () => improvement.plan)}
              >
                Apply
              </Button>
            )}
          </li>
        ))}
      </ol>
      <p className={clsx(textStyles.muted, stopStyles.finePrint)}>
        Sorted by gain per minute on the set. The minutes are assumed.
      </p>
    </>
  );
}

const hasOtherTime = (a: IdealTake, b: IdealTake) =>
  Math.abs(a.sharpS - b.sharpS) > 0.05 || Math.abs(a.requiredS - b.requiredS) > 0.05;

interface RowProps extends Props {
  readonly help: RankedImprovement;
  readonly ideal: IdealTake | null;
}

function ImprovementRow({ help: improvement, ideal, plan, units }: RowProps) {
  const { change, keepRate, gain, minutes } = improvement;
  const cost = improvementCost(change);
  return (
    <span className={styles.helpLine}>
      <span>{improvementName(change, plan, units)}</span>
      <span>
        <strong className={textStyles.toneSharp}>{of100(keepRate)}</strong>{' '}
        <span className={textStyles.muted}>
          {Math.round(100 * gain)} more takes kept · {minutes < 1 ? 'costs no time' : minutesText(minutes)}
          {cost && ` · ${cost}`}
          {ideal && ` · ${idealTakeText(ideal)}`}
        </span>
      </span>
    </span>
  );
}

/** Possible improvements after a pause, and the trials to run: the plan itself first. The search can be given up. */
function useImprovements(plan: ShotPlan): {
  readonly of: ShotPlan | null;
  readonly improvements: readonly Improvement[];
  readonly asks: readonly TrialRequest[];
  readonly search: Search;
  readonly onTried: (count: number, total: number) => void;
} {
  const { onStart, onTried, ...search } = useSearch(plan);
  const { isGivenUp } = search;
  const work = useCallback(
    (searched: ShotPlan) => {
      onStart();
      return improvementsFor(searched);
    },
    [onStart],
  );
  const known = useAfterPause(isGivenUp ? null : plan, work, EDIT_PAUSE_MS);
  const asks = useMemo(() => {
    if (!known || isGivenUp) return [];
    const order = drawLayoutOf(known.of);
    const of = (tried: ShotPlan, without: Improvement['without']) => ({ plan: tried, order, without });
    return [of(known.of, null), ...known.found.map((improvement) => of(improvement.plan, improvement.without))];
  }, [known, isGivenUp]);
  return {
    of: known?.of ?? null,
    improvements: known?.found ?? NONE,
    asks,
    search,
    onTried,
  };
}

const NONE: readonly Improvement[] = [];

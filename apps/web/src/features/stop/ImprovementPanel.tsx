import {
  drawLayoutOf,
  type IdealTake,
  type Improvement,
  rankImprovements,
  type ShotPlan,
  type RankedImprovement,
  type UnitSystem,
} from '@still-heron/core';
import { idealTakeText, improvementCost, improvementName, of100, minutesText, progressText } from '@still-heron/wording';
import { useMemo, useState } from 'react';
import clsx from 'clsx';
import type { TrialRequest } from '../../shared/workers/simulation/trialRunner';
import { improvementsFor } from '../../shared/workers/simulation/workers';
import { useAfterPause } from '../shot/useAfterPause';
import { useEdit } from '../shot/useEdit';
import { RANKS, useTrialRates } from '../shot/useTrialRates';
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
  const { of, improvements, asks, tried, isGivenUp, giveUp, tryAgain, onFirst } = useImprovements(plan);
  const { known } = useTrialRates(improvements, asks, { takes: IMPROVEMENT_TRIALS, rank: RANKS.improvements, onFirst });
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
  if (ranked === null || isGivenUp) return <Trying tried={tried} isGivenUp={isGivenUp} onGiveUp={giveUp} onTryAgain={tryAgain} />;
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

interface TryingProps {
  readonly tried: Tried | null;
  readonly isGivenUp: boolean;
  readonly onGiveUp: () => void;
  readonly onTryAgain: () => void;
}

/** A search that runs, with how far it is, or one that was given up. */
function Trying({ tried, isGivenUp, onGiveUp, onTryAgain }: TryingProps) {
  return (
    <p className={textStyles.muted}>
      <span role="status">{isGivenUp ? 'Given up.' : progressText('Trying each with the same simulated takes', tried)}</span>{' '}
      <Button look="quiet" onClick={isGivenUp ? onTryAgain : onGiveUp}>
        {isGivenUp ? 'Try again' : 'Give up'}
      </Button>
    </p>
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
  /** How many have a first result */
  readonly tried: Tried | null;
  readonly isGivenUp: boolean;
  readonly giveUp: () => void;
  readonly tryAgain: () => void;
  readonly onFirst: (known: number, total: number) => void;
} {
  const known = useAfterPause(plan, improvementsFor, EDIT_PAUSE_MS);
  const [tried, setTried] = useState<Tried | null>(null);
  const [givenUp, setGivenUp] = useState<ShotPlan | null>(null);
  const isGivenUp = givenUp === plan;
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
    tried,
    isGivenUp,
    giveUp: () => setGivenUp(plan),
    tryAgain: () => setGivenUp(null),
    onFirst: (count, total) => setTried({ count, total }),
  };
}

interface Tried {
  readonly count: number;
  readonly total: number;
}

const NONE: readonly Improvement[] = [];

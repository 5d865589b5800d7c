import {
  drawLayoutOf,
  type Improvement,
  rankImprovements,
  type ShotPlan,
  type RankedImprovement,
  type UnitSystem,
} from '@still-heron/core';
import { useMemo } from 'react';
import type { TakesAsk } from '../../workers/takes/takeRunner';
import { helpsFor } from '../../workers/takes/workers';
import { useQuietly } from '../shot/useQuietly';
import { useEdit } from '../setup/useEdit';
import { helpCost, helpName } from './helpWords';
import { ofTakes } from './stopWords';
import { minutesWords } from './timeWords';
import { RANKS, useChances } from './useChances';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Delay from the last edit. */
const QUIET_MS = 350;
/** Trials per improvement: enough to show a gain of two in a hundred. */
const HELP_TAKES = 800;
const MOST_SHOWN = 8;

/** Improvements: each error switched off, each fix, each stop; with gain and cost. */
export function HelpPanel({ plan, units }: Props) {
  const edit = useEdit();
  const { of, helps: improvements, asks } = useHelps(plan);
  const { known } = useChances(improvements, asks, { takes: HELP_TAKES, rank: RANKS.helps });
  const isCurrent = of === plan && known?.key === improvements;
  // until the new results are known, the previous ones stay visible but disabled
  const [now, ...rates] = known?.progress.rates ?? [];
  const ranked = now
    ? rankImprovements(
        known!.key,
        rates.map((rate) => rate?.keepRate ?? null),
        { keepRate: now.keepRate, targetKeepRate: plan.goals.targetKeepRate },
      ).slice(0, MOST_SHOWN)
    : null;
  if (ranked === null) return <p className="haze">Each is tried with the same takes …</p>;
  if (ranked.length === 0)
    return (
      <p className="haze">
        {now!.keepRate > 0.97 ? 'Nothing needs to: nearly every take is kept.' : 'Nothing that was tried gains a take in fifty.'}
      </p>
    );
  return (
    <>
      <ol className="helps" aria-busy={!isCurrent}>
        {ranked.map((improvement) => (
          <li key={helpName(improvement.change, plan, units)}>
            <HelpLine help={improvement} plan={plan} units={units} />
            {improvement.change.kind !== 'without' && (
              <button
                type="button"
                className="quiet"
                disabled={!isCurrent}
                aria-label={`Do it: ${helpName(improvement.change, plan, units)}`}
                onClick={() => edit(helpName(improvement.change, plan, units), () => improvement.plan)}
              >
                Do it
              </button>
            )}
          </li>
        ))}
      </ol>
      <p className="haze fine-print">By what it gains for a minute on the set. Minutes are assumptions.</p>
    </>
  );
}

function HelpLine({ help: improvement, plan, units }: Props & { readonly help: RankedImprovement }) {
  const { change, keepRate, gain, minutes } = improvement;
  const cost = helpCost(change);
  return (
    <span className="help-line">
      <span>{helpName(change, plan, units)}</span>
      <span>
        <strong className="tone-sharp">{ofTakes(keepRate)}</strong>{' '}
        <span className="haze">
          {Math.round(100 * gain)} more of 100 · {minutes < 1 ? 'no time' : minutesWords(minutes)}
          {cost && ` · ${cost}`}
        </span>
      </span>
    </span>
  );
}

/** Possible improvements after a pause, and the trials to run: the plan itself first. */
function useHelps(plan: ShotPlan): {
  readonly of: ShotPlan | null;
  readonly helps: readonly Improvement[];
  readonly asks: readonly TakesAsk[];
} {
  const known = useQuietly(plan, helpsFor, QUIET_MS);
  const asks = useMemo(() => {
    if (!known) return [];
    const order = drawLayoutOf(known.of);
    const of = (tried: ShotPlan, without: Improvement['without']) => ({ plan: tried, order, without });
    return [of(known.of, null), ...known.found.map((improvement) => of(improvement.plan, improvement.without))];
  }, [known]);
  return { of: known?.of ?? null, helps: known?.found ?? NONE, asks };
}

const NONE: readonly Improvement[] = [];

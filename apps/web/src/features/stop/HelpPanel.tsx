import { drawOrderOf, type Help, rankHelps, type ShotPlan, type TriedHelp, type UnitSystem } from '@still-heron/core';
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
  const { of, helps, asks } = useHelps(plan);
  const { known } = useChances(helps, asks, { takes: HELP_TAKES, rank: RANKS.helps });
  const isCurrent = of === plan && known?.key === helps;
  // until the new results are known, the previous ones stay visible but disabled
  const [now, ...rates] = known?.progress.rates ?? [];
  const ranked = now
    ? rankHelps(
        known!.key,
        rates.map((rate) => rate?.keepRate ?? null),
        { keepRate: now.keepRate, keepShare: plan.wanted.keepShare },
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
        {ranked.map((help) => (
          <li key={helpName(help.change, plan, units)}>
            <HelpLine help={help} plan={plan} units={units} />
            {help.change.kind !== 'without' && (
              <button
                type="button"
                className="quiet"
                disabled={!isCurrent}
                aria-label={`Do it: ${helpName(help.change, plan, units)}`}
                onClick={() => edit(helpName(help.change, plan, units), () => help.plan)}
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

function HelpLine({ help, plan, units }: Props & { readonly help: TriedHelp }) {
  const { change, keepRate, gain, minutes } = help;
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
  readonly helps: readonly Help[];
  readonly asks: readonly TakesAsk[];
} {
  const known = useQuietly(plan, helpsFor, QUIET_MS);
  const asks = useMemo(() => {
    if (!known) return [];
    const order = drawOrderOf(known.of);
    const of = (tried: ShotPlan, without: Help['without']) => ({ plan: tried, order, without });
    return [of(known.of, null), ...known.found.map((help) => of(help.plan, help.without))];
  }, [known]);
  return { of: known?.of ?? null, helps: known?.found ?? NONE, asks };
}

const NONE: readonly Help[] = [];

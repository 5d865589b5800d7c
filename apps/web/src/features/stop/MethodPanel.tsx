import { drawLayoutOf, type MethodOffer, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { METHOD_WORDS } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { useMemo } from 'react';
import { methodsFor } from '../../shared/workers/simulation/workers';
import { useAfterPause } from '../shot/useAfterPause';
import { useEdit } from '../shot/useEdit';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from '../shot/useTrialRates';
import { MethodRow } from './MethodRow';
import { PartsPanel } from './PartsPanel';
import textStyles from '../../ui/text.module.css';
import styles from './MethodPanel.module.css';

const EDIT_PAUSE_MS = 350;
const METHOD_TRIALS = 800;

/** All focus methods: keep rate of each in this shot, arguments, and the opposite view. */
export function MethodPanel({ plan, units }: { readonly plan: ShotPlan; readonly units: UnitSystem }) {
  const edit = useEdit();
  const offers = useAfterPause(plan, methodsFor, EDIT_PAUSE_MS);
  const asked = useMemo(() => offers?.found.filter((offer) => offer.plan !== null) ?? [], [offers]);
  const asks = useMemo(() => {
    const order = offers ? drawLayoutOf(offers.of) : null;
    return order ? asked.map((offer) => ({ plan: offer.plan!, order, without: null })) : [];
  }, [offers, asked]);
  const { known } = useTrialRates(asked, asks, { takes: METHOD_TRIALS, rank: RANKS.methods });
  if (!offers) return <p className={textStyles.muted}>Trying each with the same simulated takes …</p>;
  const rateOf = (offer: MethodOffer) => (known?.key === asked ? (known.progress.rates[asked.indexOf(offer)] ?? null) : null);
  const sorted = [...offers.found].sort((a, b) => (rateOf(b)?.sharpShare ?? -1) - (rateOf(a)?.sharpShare ?? -1));
  const ranked = sorted.sort((a, b) => (rateOf(b)?.keepRate ?? -1) - (rateOf(a)?.keepRate ?? -1));
  const choose = ({ method, chosen }: MethodOffer) =>
    edit(`use the method ${METHOD_WORDS[method].short}`, (now) =>
      chosen && offers.of === now ? chosen : { ...now, method, laterMethods: [] },
    );
  return (
    <>
      {plan.laterMethods.length > 0 && (
        <>
          <PartsPanel plan={plan} />
          <p className={textStyles.muted}>Or one method for the whole shot. Set-up changes the parts.</p>
        </>
      )}
      <Checkbox
        checked={plan.areHandsNeeded}
        onChange={({ target: { checked } }) =>
          edit(checked ? 'hands are needed for something else' : 'hands are free', (now) => ({ ...now, areHandsNeeded: checked }))
        }
      >
        hands are needed for something else
      </Checkbox>
      <ul className={styles.methods} aria-label="Focus methods">
        {ranked.map((offer) => (
          <MethodRow
            key={offer.method}
            plan={plan}
            units={units}
            offer={offer}
            rate={rateOf(offer)}
            onChoose={() => choose(offer)}
          />
        ))}
      </ul>
    </>
  );
}

import { drawLayoutOf, keepingDistanceErrors, type MethodOffer, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { keepsDistanceText, METHOD_WORDS, methodArgumentText, of100, OTHER_VIEWS } from '@still-heron/wording';
import { useMemo } from 'react';
import clsx from 'clsx';
import { methodsFor } from '../../shared/workers/simulation/workers';
import { useAfterPause } from '../shot/useAfterPause';
import { useEdit } from '../shot/useEdit';
import { RANKS, useTrialRates } from '../shot/useTrialRates';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import styles from './MethodPanel.module.css';

const EDIT_PAUSE_MS = 350;
const METHOD_TRIALS = 800;

/** All focus methods: keep rate of each in this shot, arguments, and the opposite view. None is refused. */
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
    edit(`use the method ${METHOD_WORDS[method].short}`, (now) => (chosen && offers.of === now ? chosen : { ...now, method }));
  return (
    <ul className={styles.methods}>
      {ranked.map((offer) => {
        const rate = rateOf(offer);
        const isNow = plan.method === offer.method;
        return (
          <li key={offer.method} className={clsx(isNow && styles.isNow)}>
            <span className={styles.methodHead}>
              <strong>{METHOD_WORDS[offer.method].short}</strong>
              <span>{rate ? of100(rate.keepRate) : 'not computed'}</span>
              {isNow ? (
                <span className={textStyles.muted}>chosen</span>
              ) : (
                <Button look="quiet" aria-label={`Choose ${METHOD_WORDS[offer.method].short}`} onClick={() => choose(offer)}>
                  Choose
                </Button>
              )}
            </span>
            {offer.method === 'constant-distance' && rate && (
              <span className={textStyles.muted}>
                {keepsDistanceText(keepingDistanceErrors(plan), plan.cameraErrors === null, units)}
              </span>
            )}
            {rate && rate.keepRate < 0.995 && (
              <span className={textStyles.muted}>{Math.round(100 * rate.sharpShare)} % of the required time is sharp</span>
            )}
            {[
              ...offer.pro.map((argument) => ({ sign: '+', text: methodArgumentText(argument) })),
              ...offer.contra.map((argument) => ({ sign: '−', text: methodArgumentText(argument) })),
            ].map(({ sign, text }) => (
              <span key={text}>
                <span aria-label={sign === '+' ? 'for it' : 'against it'}>{sign}</span> {text}
              </span>
            ))}
            <span className={clsx(textStyles.muted, styles.methodOther)}>{OTHER_VIEWS[offer.method]}</span>
          </li>
        );
      })}
    </ul>
  );
}

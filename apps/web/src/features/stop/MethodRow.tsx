import { keepingDistanceErrors, type KeepRate, type MethodOffer, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { keepsDistanceText, METHOD_WORDS, methodArgumentText, of100, OTHER_VIEWS, pullsAfterText } from '@still-heron/wording';
import clsx from 'clsx';
import { Button } from '../../ui/Button';
import { SetUpSteps } from '../setup/SetUpSteps';
import textStyles from '../../ui/text.module.css';
import styles from './MethodPanel.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly offer: MethodOffer;
  /** null until known, and for what can't be simulated */
  readonly rate: KeepRate | null;
  readonly onChoose: () => void;
}

/** One method: what it keeps, its arguments, what it does to the pulls, and the steps of the one that is chosen. */
export function MethodRow({ plan, units, offer, rate, onChoose }: Props) {
  const isNow = plan.method === offer.method && plan.laterMethods.length === 0;
  return (
    <li className={clsx(isNow && styles.isNow)}>
      <MethodHead isNow={isNow} offer={offer} rate={rate} onChoose={onChoose} />
      {offer.method === 'constant-distance' && rate && (
        <span className={textStyles.muted}>
          {keepsDistanceText(keepingDistanceErrors(plan), plan.cameraErrors === null, units)}
        </span>
      )}
      {rate && rate.keepRate < 0.995 && (
        <span className={textStyles.muted}>{Math.round(100 * rate.sharpShare)} % of the required time is sharp</span>
      )}
      <MethodArguments plan={plan} offer={offer} />
      {offer.pulls && !isNow && !offer.isRefused && <span className={textStyles.muted}>{pullsAfterText(offer.pulls)}</span>}
      {isNow && <SetUpSteps plan={plan} />}
      <span className={clsx(textStyles.muted, styles.methodOther)}>{OTHER_VIEWS[offer.method]}</span>
    </li>
  );
}

function MethodHead({ isNow, offer, rate, onChoose }: Pick<Props, 'offer' | 'rate' | 'onChoose'> & { readonly isNow: boolean }) {
  const { short } = METHOD_WORDS[offer.method];
  return (
    <span className={styles.methodHead}>
      <strong>{short}</strong>
      <span>{rate ? of100(rate.keepRate) : 'not computed'}</span>
      {isNow ? (
        <span className={textStyles.muted}>chosen</span>
      ) : (
        <Button look="quiet" aria-label={`Choose ${short}`} disabled={offer.isRefused} onClick={onChoose}>
          {offer.isRefused ? 'Not with this kit' : 'Choose'}
        </Button>
      )}
    </span>
  );
}

function MethodArguments({ plan, offer: { pro, contra } }: Pick<Props, 'plan' | 'offer'>) {
  return [
    ...pro.map((argument) => ({ sign: '+', text: methodArgumentText(argument, plan) })),
    ...contra.map((argument) => ({ sign: '−', text: methodArgumentText(argument, plan) })),
  ].map(({ sign, text }) => (
    <span key={text}>
      <span aria-label={sign === '+' ? 'for it' : 'against it'}>{sign}</span> {text}
    </span>
  ));
}

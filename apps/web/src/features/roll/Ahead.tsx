import { autofocusRisk, entrances, methodsOf, type ShotPlan } from '@still-heron/core';
import { autofocusReasonText, countdownText, entranceText } from '@still-heron/wording';
import clsx from 'clsx';
import { useMemo } from 'react';
import styles from './RollFigures.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly planS: number;
}

/** How long before it something is announced. */
const AHEAD_S = 5;

/** Who comes into the picture next, and from which side. */
export function NextEntrance({ plan, planS }: Props) {
  const coming = useMemo(() => entrances(plan), [plan]);
  const entrance = coming.find(({ timeS }) => timeS > planS && timeS <= planS + AHEAD_S);
  return entrance ? <span data-testid="roll-entrance">{entranceText(entrance, planS, plan)}</span> : null;
}

/** Where autofocus is at risk, now or soon, and why. */
export function AutofocusAhead({ plan, planS }: Props) {
  const risks = useMemo(() => (methodsOf(plan).includes('automatic') ? autofocusRisk(plan).spans : []), [plan]);
  const risk = risks.find(({ fromS, toS }) => toS > planS && fromS <= planS + AHEAD_S);
  if (!risk) return null;
  const when = risk.fromS > planS ? `in ${countdownText(risk.fromS - planS)} s` : 'now';
  return (
    <p className={clsx(styles.rollWords, textStyles.toneEdge)} data-testid="roll-risk">
      <strong>At risk {when}:</strong> {autofocusReasonText(risk, plan)}
    </p>
  );
}

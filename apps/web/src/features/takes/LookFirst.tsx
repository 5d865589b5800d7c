import { lookFirst, type RollMode, type ShotPlan, type Take } from '@still-heron/core';
import { lookFirstText } from '@still-heron/wording';
import { useMemo } from 'react';
import styles from './LookFirst.module.css';

interface Props {
  /** The plan at the time of the take */
  readonly plan: ShotPlan;
  readonly take: Take;
  readonly pace?: RollMode;
}

/** What to look at first when a take is checked. */
export function LookFirst({ plan, take, pace }: Props) {
  const text = useMemo(() => lookFirstText(lookFirst(plan, take, pace), plan, take), [plan, take, pace]);
  return text === '' ? null : <p className={styles.lookFirst}>{text}</p>;
}

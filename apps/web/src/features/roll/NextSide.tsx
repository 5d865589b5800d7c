import type { TakeRowView } from '@still-heron/contract';
import type { ShotPlan, UnitSystem } from '@still-heron/core';
import { Link } from 'react-router';
import clsx from 'clsx';
import { Corrections } from '../takes/Corrections';
import { useAdvice } from '../takes/useAdvice';
import layoutStyles from '../../ui/layout.module.css';
import styles from './NextSide.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly takes: readonly TakeRowView[];
}

/** After a take: advice and corrections for the next one. */
export function NextSide({ shotId, plan, units, takes }: Props) {
  const { next, tone, text } = useAdvice(plan, takes);
  return (
    <aside data-testid="side" className={layoutStyles.side} aria-label="What to change">
      <section>
        <p className={clsx(styles.nextAdvice, textStyles[`tone-${tone}`])} role="status">
          {text}
        </p>
      </section>
      <Corrections corrections={next.corrections} plan={plan} units={units} />
      <section>
        <Link to={`/shots/${shotId}/takes`}>All takes of the shot</Link>
      </section>
    </aside>
  );
}

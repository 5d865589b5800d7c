import type { TakeRowView } from '@still-heron/contract';
import { prepareRoll, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { backToStartText, targetName } from '@still-heron/wording';
import { useMemo } from 'react';
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

/** Where the ring goes for the next take. */
function BackToStart({ plan, units }: Pick<Props, 'plan' | 'units'>) {
  const ready = useMemo(() => prepareRoll(plan), [plan]);
  if (!ready) return null;
  const { now, at } = ready.figuresAt(0);
  return (
    <section data-testid="back-to-start">
      <p>{backToStartText(targetName(at, plan, units), now, plan, units)}</p>
    </section>
  );
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
      <BackToStart plan={plan} units={units} />
      <Corrections next={next} plan={plan} units={units} />
      <section>
        <Link to={`/shots/${shotId}/takes`}>All takes of the shot</Link>
      </section>
    </aside>
  );
}

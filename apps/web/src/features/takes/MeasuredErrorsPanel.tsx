import type { TakeRowView } from '@still-heron/contract';
import { isDeepEqual, measuredErrors, type ShotPlan, takeFigures, withMeasuredErrors } from '@still-heron/core';
import { measuredErrorLines } from '@still-heron/wording';
import { useMemo } from 'react';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './MeasuredErrorsPanel.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly takes: readonly TakeRowView[];
}

/** Errors measured in the takes of this shot, to replace the plan's assumptions. */
export function MeasuredErrorsPanel({ plan, takes }: Props) {
  const edit = useEdit();
  const fit = useMemo(() => measuredErrors(takes.map(({ take }) => takeFigures(take))), [takes]);
  const isTaken = useMemo(() => isDeepEqual(withMeasuredErrors(plan, fit), plan), [plan, fit]);
  const lines = measuredErrorLines(fit);
  if (lines.length === 0) return null;
  return (
    <section>
      <h2>Errors measured in takes</h2>
      <ul className={styles.fitLines}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {isTaken ? (
        <p className={textStyles.muted}>The plan uses them.</p>
      ) : (
        <Button
          look="quiet"
          className={styles.fitTake}
          onClick={() => edit('use the measured errors', (now) => withMeasuredErrors(now, fit))}
        >
          Use them in the plan
        </Button>
      )}
    </section>
  );
}

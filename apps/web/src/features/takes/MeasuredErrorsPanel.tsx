import type { TakeRowView } from '@still-heron/contract';
import { fitCrew, type ShotPlan, usesCrewFit, withCrewFit } from '@still-heron/core';
import { crewFitLines } from '@still-heron/wording';
import { useMemo } from 'react';
import { useUnits } from '../../shared/useUnits';
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
  const units = useUnits();
  const taken = useMemo(() => takes.map(({ take }) => take), [takes]);
  const fit = useMemo(() => fitCrew(plan, taken), [plan, taken]);
  const isTaken = useMemo(() => usesCrewFit(plan, fit), [plan, fit]);
  const lines = crewFitLines(fit, plan, units);
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
          onClick={() => edit('use the measured errors', (now) => withCrewFit(now, fit))}
        >
          Use them in the plan
        </Button>
      )}
    </section>
  );
}

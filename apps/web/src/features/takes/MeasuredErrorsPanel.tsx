import type { TakeRowView } from '@still-heron/contract';
import {
  isDeepEqual,
  type MeasuredError,
  measuredErrors,
  type ShotPlan,
  takeFigures,
  withMeasuredErrors,
} from '@still-heron/core';
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
  const lines = [
    fit.late && `pulls start ${mean(fit.late, 's late', 's early', 2)} on average, ${give(fit.late, 's', 2)}`,
    fit.off && `pulls land beside the mark by ${give(fit.off, '°', 1)}`,
    fit.markMisses && `people miss marks by ${give(fit.markMisses, 'mm', 0)}`,
  ].filter((line) => line !== null);
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

function give({ sigma, count }: MeasuredError, unit: string, decimals: number): string {
  return `±${sigma.toFixed(decimals)} ${unit} (${count} measured)`;
}

function mean({ mean: value }: MeasuredError, above: string, below: string, decimals: number): string {
  return `${Math.abs(value).toFixed(decimals)} ${value >= 0 ? above : below}`;
}

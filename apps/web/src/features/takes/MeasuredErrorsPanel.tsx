import type { TakeRowView } from '@still-heron/contract';
import { measuredErrors, type MeasuredError, type ShotPlan, takeFigures, withMeasuredErrors } from '@still-heron/core';
import { useMemo } from 'react';
import { useEdit } from '../shot/useEdit';

interface Props {
  readonly plan: ShotPlan;
  readonly takes: readonly TakeRowView[];
}

/** Errors measured in the takes of this shot, to replace the plan's assumptions. */
export function MeasuredErrorsPanel({ plan, takes }: Props) {
  const edit = useEdit();
  const fit = useMemo(() => measuredErrors(takes.map(({ take }) => takeFigures(take))), [takes]);
  const isTaken = useMemo(() => JSON.stringify(withMeasuredErrors(plan, fit)) === JSON.stringify(plan), [plan, fit]);
  const lines = [
    fit.late && `pulls come ${mean(fit.late, 's late', 's early', 2)} on the average, ${give(fit.late, 's', 2)}`,
    fit.off && `the ring lands ${give(fit.off, '°', 1)}`,
    fit.markMisses && `people stand ${give(fit.markMisses, 'mm', 0)}`,
  ].filter((line) => line !== null);
  if (lines.length === 0) return null;
  return (
    <section>
      <h2>As takes showed it</h2>
      <ul className="fit-lines">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {isTaken ? (
        <p className="haze">The plan reckons with it.</p>
      ) : (
        <button
          type="button"
          className="quiet fit-take"
          onClick={() => edit('errors as takes showed them', (now) => withMeasuredErrors(now, fit))}
        >
          Reckon with it
        </button>
      )}
    </section>
  );
}

function give({ sigma, count }: MeasuredError, unit: string, decimals: number): string {
  return `give or take ${sigma.toFixed(decimals)} ${unit} (${count} measured)`;
}

function mean({ mean: value }: MeasuredError, above: string, below: string, decimals: number): string {
  return `${Math.abs(value).toFixed(decimals)} ${value >= 0 ? above : below}`;
}

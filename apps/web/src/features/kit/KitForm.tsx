import { KIT_LIMITS, type KitKind } from '@still-heron/core';
import type { ReactNode } from 'react';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import { useOpenItem } from './useOpenItem';
import { useKitActions } from './useKitActions';
import { Button } from '../../ui/Button';
import fieldStyles from '../../ui/fields/fields.module.css';
import styles from './KitForm.module.css';

/** Optional number: empty means unknown. */
export function MaybeNumber(props: {
  readonly label: string;
  readonly unit: string;
  readonly value: number | null;
  readonly start: number;
  readonly limit: { readonly min: number; readonly max: number };
  readonly step: number;
  readonly decimals?: number;
  readonly onChange: (value: number | null, gesture: string) => void;
}) {
  const { label, unit, value, start, limit, step, decimals = 0, onChange } = props;
  if (value === null) {
    return (
      <div className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>{label}</span>
        <Button look="quiet" className={styles.maybe} onClick={() => onChange(start, `maybe-${label}`)}>
          unknown: set it
        </Button>
      </div>
    );
  }
  return (
    <div className={styles.maybeKnown}>
      <NumberField label={label} unit={unit} step={step} decimals={decimals} {...limit} value={value} onChange={onChange} />
      <Button look="quiet" aria-label={`${label}: unknown`} onClick={() => onChange(null, `maybe-${label}`)}>
        ✕
      </Button>
    </div>
  );
}

/** Notes and actions at the end of every kit form. */
export function KitFormFoot<K extends KitKind>({ kind, children }: { readonly kind: K; readonly children?: ReactNode }) {
  const { id, item, edit } = useOpenItem(kind);
  const actions = useKitActions(kind);
  if (!item) return null;
  return (
    <section>
      <h2>Notes</h2>
      <TextField
        label="notes"
        isBare
        value={item.notes}
        max={KIT_LIMITS.notes.max}
        placeholder="anything else to remember"
        onChange={(notes) => edit('change the notes', (now) => ({ ...now, notes }))}
      />
      {children}
      <div className={styles.kitWhole}>
        <Button onClick={() => void actions.duplicate(item)}>Duplicate</Button>
        <Button onClick={() => void actions.remove(id)}>Delete this {actions.one}</Button>
      </div>
    </section>
  );
}

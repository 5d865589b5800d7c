import { useId, useState } from 'react';
import clsx from 'clsx';
import fieldStyles from './fields.module.css';
import textStyles from '../text.module.css';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly max: number;
  /** Why a text is not taken; null if it is. An empty one is not asked about */
  readonly refusal?: (text: string) => string | null;
  /** Whether it may be empty */
  readonly isOptional?: boolean;
  readonly placeholder?: string;
  readonly isBare?: boolean;
  readonly className?: string;
  readonly testId?: string;
}

/** Text field. Enter or leaving the field applies it, Escape reverts it; a required field keeps its old text if emptied. */
export function TextField({
  label,
  value,
  onChange,
  max,
  refusal,
  isOptional = true,
  placeholder,
  isBare,
  className,
  testId,
}: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const isLacking = draft !== null && !isOptional && draft.trim() === '';
  const problem = draft === null || draft.trim() === '' ? null : (refusal?.(draft.trim()) ?? null);

  function take(): void {
    if (problem !== null) return;
    const text = (draft ?? value).trim();
    setDraft(null);
    if (text !== value && (isOptional || text !== '')) onChange(text);
  }

  return (
    <div className={clsx(fieldStyles.field, className)}>
      <label htmlFor={id} className={isBare ? textStyles.unseen : fieldStyles.fieldLabel}>
        {label}
      </label>
      <input
        id={id}
        data-testid={testId}
        data-draft={draft !== null || undefined}
        className={clsx(fieldStyles.fieldInput, fieldStyles.words)}
        value={draft ?? value}
        maxLength={max}
        placeholder={placeholder}
        autoComplete="off"
        aria-invalid={isLacking || problem !== null}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape' && draft !== null) {
            event.stopPropagation();
            setDraft(null);
          }
        }}
      />
      {problem !== null && <p className={fieldStyles.fieldProblem}>{problem}</p>}
      {isLacking && <p className={fieldStyles.fieldProblem}>A name is needed. Without one, the old name stays: “{value}”.</p>}
    </div>
  );
}

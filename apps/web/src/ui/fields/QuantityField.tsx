import { type FocusEvent, type KeyboardEvent, type ReactNode, useId, useRef, useState } from 'react';
import { type ProblemText, typeSentence } from '@still-heron/wording';
import { Button } from '../Button';
import clsx from 'clsx';
import { newGesture } from '../../shared/gestures/newGesture';
import fieldStyles from './fields.module.css';
import textStyles from '../text.module.css';

/** Result of reading a typed text: its value, or a problem with a remedy. */
export type Reading<T> =
  | { readonly value: T }
  | {
      readonly problem: ProblemText;
      /** What the text can mean, to choose from */
      readonly offers?: readonly { readonly word: string; readonly value: T }[];
    };

export interface QuantityFieldProps<T> {
  readonly label: string;
  readonly value: T;
  readonly print: (value: T) => string;
  readonly read: (text: string) => Reading<T>;
  /** Called with a new valid value; repeated nudges share a gesture */
  readonly onChange: (value: T, gesture: string) => void;
  /** Value a number of display steps away; without it arrow keys do nothing */
  readonly nudge?: (value: T, steps: number) => T;
  readonly unit?: string;
  readonly hint?: ReactNode;
  /** Visually hidden label; screen readers still read it */
  readonly isBare?: boolean;
  readonly size?: 'large' | 'normal';
  readonly placeholder?: string;
  readonly testId?: string;
  /** Takes the cursor when it appears */
  readonly hasCursor?: boolean;
}

/**
 * Field for a typed quantity. Enter or leaving the field applies it, Escape reverts it. Arrow keys change it by the display
 * step, with Shift by ten. An invalid text stays in the field with a remedy below.
 */
export function QuantityField<T>(props: QuantityFieldProps<T>) {
  const { label, value, print, unit, hint, isBare, size = 'normal', placeholder, testId, hasCursor } = props;
  const id = useId();
  const { draft, problem, offers, choose, setDraft, take, onFocus, onKeyDown } = useTypedQuantity(props);
  return (
    <div className={clsx(fieldStyles.field, fieldStyles[`field-${size}`])}>
      <label htmlFor={id} className={isBare ? textStyles.unseen : fieldStyles.fieldLabel}>
        {label}
      </label>
      <span className={fieldStyles.fieldLine}>
        <input
          id={id}
          data-testid={testId}
          data-draft={draft !== null || undefined}
          className={clsx(fieldStyles.fieldInput, textStyles.figure)}
          value={draft ?? print(value)}
          placeholder={placeholder}
          autoFocus={hasCursor}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(event) => setDraft(event.target.value)}
          onFocus={onFocus}
          onBlur={(event) => draft !== null && take(event.target.value)}
          onKeyDown={onKeyDown}
        />
        {unit && <span className={fieldStyles.fieldUnit}>{unit}</span>}
      </span>
      {problem ? (
        <>
          <p id={`${id}-problem`} className={fieldStyles.fieldProblem} role="alert">
            {typeSentence(problem)}
          </p>
          {offers.length > 0 && (
            <div className={fieldStyles.fieldOffers}>
              {offers.map(({ word, value: meant }) => (
                <Button key={word} size="small" onClick={() => choose(meant)}>
                  {word}
                </Button>
              ))}
            </div>
          )}
        </>
      ) : (
        hint && <p className={fieldStyles.fieldHint}>{hint}</p>
      )}
    </div>
  );
}

/** Text being typed, its problem, and the keys of the field. */
function useTypedQuantity<T>({ value, print, read, onChange, nudge }: QuantityFieldProps<T>) {
  const [draft, setDraft] = useState<string | null>(null);
  const [refused, setRefused] = useState<Exclude<Reading<T>, { value: T }> | null>(null);
  const gesture = useRef('');

  /** @returns whether the text is valid */
  function take(text: string): boolean {
    const reading = text === print(value) ? { value } : read(text);
    if ('problem' in reading) {
      setRefused(reading);
      return false;
    }
    setDraft(null);
    setRefused(null);
    if (reading.value !== value) onChange(reading.value, newGesture('field'));
    return true;
  }

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>): void {
    if (event.key === 'Enter') {
      // a form with an invalid field is not submitted
      if (!take(event.currentTarget.value)) event.preventDefault();
    } else if (event.key === 'Escape' && draft !== null) {
      event.stopPropagation();
      setDraft(null);
      setRefused(null);
    } else if (nudge && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      setDraft(null);
      setRefused(null);
      const steps = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1);
      onChange(nudge(value, steps), gesture.current);
    }
  }

  function onFocus({ target }: FocusEvent<HTMLInputElement>): void {
    gesture.current = newGesture('nudge');
    target.select();
  }

  function choose(meant: T): void {
    setDraft(null);
    setRefused(null);
    if (meant !== value) onChange(meant, newGesture('field'));
  }

  return {
    draft,
    problem: refused?.problem ?? null,
    offers: refused?.offers ?? [],
    choose,
    setDraft,
    take,
    onFocus,
    onKeyDown,
  };
}

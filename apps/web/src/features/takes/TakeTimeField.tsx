import { readTakeTime, type Take, takeTimeText } from '@still-heron/core';
import { useId, useState } from 'react';
import fieldStyles from '../../ui/fields/fields.module.css';

/** What a time of a take is read by. */
export type TimedTake = Pick<Take, 'startTimecode' | 'gear' | 'durationS'>;

interface Props {
  readonly label: string;
  readonly timeS: number | null;
  readonly take: TimedTake;
  /** Why a time that can be read is not taken; null if it is */
  readonly refusal?: (timeS: number) => string | null;
  readonly onChange: (timeS: number) => void;
}

/** A time of a take, as seconds or in its timecode. What is none is not taken, and says what would do. */
export function TakeTimeField({ label, timeS, take, refusal, onChange }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const read = (text: string) => readTakeTime(text, take);
  const problem = draft === null || draft.trim() === '' ? null : problemOf(read(draft));
  const shown = timeS === null ? '' : takeTimeText(timeS, take);

  function problemOf(found: number | null): string | null {
    return found === null ? problemText(take) : (refusal?.(found) ?? null);
  }
  function apply(): void {
    const found = draft === null ? null : read(draft);
    if (problem !== null) return;
    setDraft(null);
    if (found !== null && draft !== shown) onChange(found);
  }

  return (
    <div className={fieldStyles.field}>
      <label htmlFor={id} className={fieldStyles.fieldLabel}>
        {label}
      </label>
      <input
        id={id}
        className={fieldStyles.fieldInput}
        value={draft ?? shown}
        maxLength={16}
        autoComplete="off"
        aria-invalid={problem !== null}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={apply}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape' && draft !== null) {
            event.stopPropagation();
            setDraft(null);
          }
        }}
      />
      {problem !== null && <p className={fieldStyles.fieldProblem}>{problem}</p>}
    </div>
  );
}

function problemText(take: TimedTake): string {
  const seconds = `seconds from 0 to ${take.durationS.toFixed(1)}`;
  return take.startTimecode === ''
    ? `A time within the take is needed: ${seconds}.`
    : `A time within the take is needed: ${seconds}, or its timecode from ${take.startTimecode} on.`;
}

import { formatDistance, type UnitSystem } from '@still-heron/core';
import { neededSentence, type ProblemText, typeSentence } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { readDistance } from '../../ui/fields/readDistance';
import { Button } from '../../ui/Button';
import styles from './FloorNotice.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** A rejected action and what to do instead; nothing was changed. */
export function FloorNotice({ problem, onClose }: { readonly problem: ProblemText; readonly onClose: () => void }) {
  return (
    <p className={clsx(styles.floorNotice, textStyles.toneSoft)} role="alert">
      {neededSentence(problem)} Nothing was changed.
      <Button size="small" onClick={onClose}>
        Continue
      </Button>
    </p>
  );
}

/** Asks for the real length of a line drawn on the picture. */
export function KnownLength({
  units,
  onLength,
  onGiveUp,
}: {
  readonly units: UnitSystem;
  readonly onLength: (mm: number) => void;
  readonly onGiveUp: () => void;
}) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<ProblemText | null>(null);
  return (
    <form
      className={styles.floorNotice}
      onSubmit={(event) => {
        event.preventDefault();
        const reading = readDistance(text, units, { minMm: 50, maxMm: 500_000, reason: 'floor-length' });
        if ('problem' in reading) setProblem(reading.problem);
        else onLength(reading.value);
      }}
    >
      <label>
        The length you drew is{' '}
        <input
          className={clsx(fieldStyles.fieldInput, textStyles.figure)}
          value={text}
          placeholder={formatDistance(2000, units)}
          autoFocus
          autoComplete="off"
          aria-invalid={problem !== null}
          onChange={(event) => {
            setText(event.target.value);
            setProblem(null);
          }}
        />{' '}
        .
      </label>
      <Button type="submit" look="main">
        Set the scale
      </Button>
      <Button onClick={onGiveUp}>Cancel</Button>
      {problem && (
        <span className={fieldStyles.fieldProblem} role="alert">
          {typeSentence(problem)}
        </span>
      )}
    </form>
  );
}

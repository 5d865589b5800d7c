import { type Problem, problem, readFigure, type RingPoint, type UnitSystem, unreadFigure } from '@still-heron/core';
import { type ProblemText, problemText, typeSentence } from '@still-heron/wording';
import { type FormEvent, useRef, useState } from 'react';
import clsx from 'clsx';
import { Button } from '../../../ui/Button';
import { readDistance } from '../../../ui/fields/readDistance';
import fieldStyles from '../../../ui/fields/fields.module.css';
import textStyles from '../../../ui/text.module.css';
import styles from './NewPoint.module.css';

interface Props {
  readonly units: UnitSystem;
  readonly onAdd: (point: RingPoint) => void;
}

/** Readings that a ring can have, in degrees. */
const READING = { min: -1440, max: 1440 } as const;

/** A new scale point: both figures are read off the lens and typed. Nothing is filled in, so that nothing is believed. */
export function NewPoint({ units, onAdd }: Props) {
  const [typed, setTyped] = useState({ distance: '', reading: '' });
  const [wrong, setWrong] = useState<{ readonly field: 'distance' | 'reading'; readonly problem: ProblemText } | null>(null);
  const inputs = { distance: useRef<HTMLInputElement>(null), reading: useRef<HTMLInputElement>(null) };

  function refuse(field: 'distance' | 'reading', text: ProblemText): void {
    setWrong({ field, problem: text });
    inputs[field].current?.focus();
  }

  function add(event: FormEvent): void {
    event.preventDefault();
    const distance = readDistance(typed.distance, units);
    if ('problem' in distance) return refuse('distance', distance.problem);
    const reading = typed.reading.trim();
    const ringDeg = readFigure(reading);
    if (ringDeg === null) return refuse('reading', problemText({ ...unreadFigure(reading), path: 'reading' } as Problem));
    if (ringDeg < READING.min || ringDeg > READING.max)
      return refuse('reading', problemText(problem('out-of-range', 'reading', { given: `“${reading}”`, ...READING })));
    onAdd({ distanceMm: distance.value === Infinity ? null : distance.value, ringDeg });
    setTyped({ distance: '', reading: '' });
    setWrong(null);
    inputs.distance.current?.focus();
  }

  const field = (name: 'distance' | 'reading', unit: string) => (
    <label className={fieldStyles.field}>
      <span className={fieldStyles.fieldLabel}>{name}</span>
      <span className={fieldStyles.fieldLine}>
        <input
          ref={inputs[name]}
          className={clsx(fieldStyles.fieldInput, textStyles.figure)}
          aria-label={`${name} of the new point`}
          value={typed[name]}
          autoFocus={name === 'distance'}
          autoComplete="off"
          aria-invalid={wrong?.field === name}
          onChange={(event) => {
            setTyped({ ...typed, [name]: event.target.value });
            setWrong(null);
          }}
        />
        {unit && <span className={fieldStyles.fieldUnit}>{unit}</span>}
      </span>
    </label>
  );
  return (
    <form className={styles.newPoint} aria-label="New scale point" onSubmit={add}>
      {field('distance', units === 'metric' ? 'm' : '')}
      {field('reading', '°')}
      <Button type="submit">Add</Button>
      {wrong && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {typeSentence(wrong.problem)}
        </p>
      )}
    </form>
  );
}

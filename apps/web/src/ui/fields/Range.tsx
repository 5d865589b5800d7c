import type { CSSProperties, KeyboardEvent } from 'react';
import styles from './Range.module.css';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly text?: string;
  readonly onChange: (value: number) => void;
  readonly onKeyDown?: (event: KeyboardEvent<HTMLInputElement>) => void;
}

/** A value on a bar: dragged, clicked, or moved by the arrow keys. */
export function Range({ label, value, min, max, text, onChange, onKeyDown }: Props) {
  return (
    <input
      type="range"
      // the keys of a page work on a slider, but not in an input
      role="slider"
      className={styles.range}
      style={{ '--share': `${(100 * (value - min)) / (max - min)}%` } as CSSProperties}
      aria-label={label}
      aria-valuetext={text}
      min={min}
      max={max}
      step="any"
      value={value}
      onChange={({ target }) => onChange(target.valueAsNumber)}
      onKeyDown={onKeyDown}
    />
  );
}

import fieldStyles from './fields.module.css';

interface Props<T extends string> {
  readonly label: string;
  /** null if nothing is chosen */
  readonly chosen: T | null;
  /** Choices with their label, and a longer accessible label where needed */
  readonly choices: readonly { readonly value: T; readonly word: string; readonly inFull?: string }[];
  readonly onChoose: (value: T) => void;
  /** Pressing the chosen word again takes the choice back */
  readonly onClear?: () => void;
}

/** A choice between a few words side by side; the chosen one is highlighted and underlined. */
export function WordChoice<T extends string>({ label, chosen, choices, onChoose, onClear }: Props<T>) {
  return (
    <div className={fieldStyles.choice} role="radiogroup" aria-label={label}>
      {choices.map(({ value, word, inFull }) => (
        <button
          key={value}
          type="button"
          role="radio"
          aria-checked={chosen === value}
          aria-label={inFull}
          title={onClear && chosen === value ? 'Press again to take it back' : undefined}
          onClick={() => (onClear && chosen === value ? onClear() : onChoose(value))}
        >
          {word}
        </button>
      ))}
    </div>
  );
}

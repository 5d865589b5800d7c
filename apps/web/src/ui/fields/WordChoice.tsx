import fieldStyles from './fields.module.css';

interface Props<T extends string> {
  readonly label: string;
  readonly chosen: T;
  /** Choices with their label, and a longer accessible label where needed */
  readonly choices: readonly { readonly value: T; readonly word: string; readonly inFull?: string }[];
  readonly onChoose: (value: T) => void;
}

/** A choice between a few words side by side; the chosen one is highlighted and underlined. */
export function WordChoice<T extends string>({ label, chosen, choices, onChoose }: Props<T>) {
  return (
    <div className={fieldStyles.choice} role="radiogroup" aria-label={label}>
      {choices.map(({ value, word, inFull }) => (
        <button
          key={value}
          type="button"
          role="radio"
          aria-checked={chosen === value}
          aria-label={inFull}
          onClick={() => onChoose(value)}
        >
          {word}
        </button>
      ))}
    </div>
  );
}

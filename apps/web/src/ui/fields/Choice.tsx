import { Select } from '../antd/Select';
import fieldStyles from './fields.module.css';
import textStyles from '../text.module.css';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly value: T; readonly word: string }[];
  readonly onPick: (value: T) => void;
  readonly hint?: string | undefined;
  readonly isSearched?: boolean;
  readonly isBare?: boolean;
}

/** A drop-down choice. With `isSearched` it can be searched by typing, for long lists. */
export function Choice<T extends string>({ label, value, choices, onPick, hint, isSearched = false, isBare = false }: Props<T>) {
  return (
    <label className={fieldStyles.field}>
      <span className={isBare ? textStyles.unseen : fieldStyles.fieldLabel}>{label}</span>
      <Select
        aria-label={label}
        value={value}
        options={choices.map((choice) => ({ value: choice.value, label: choice.word, title: choice.word }))}
        onChange={onPick}
        {...(isSearched ? { showSearch: { optionFilterProp: 'label' as const } } : {})}
      />
      {hint && <span className={fieldStyles.fieldHint}>{hint}</span>}
    </label>
  );
}

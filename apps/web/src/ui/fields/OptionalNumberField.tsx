import { problem } from '@still-heron/core';
import { problemText, type ProblemText } from '@still-heron/wording';
import { QuantityField, type QuantityFieldProps } from './QuantityField';

type Props = Pick<QuantityFieldProps<number | null>, 'label' | 'onChange' | 'unit' | 'placeholder' | 'testId' | 'hasCursor'> & {
  /** null until somebody has typed it: nothing is made up */
  readonly value: number | null;
  readonly min: number;
  readonly max: number;
  readonly decimals: number;
  /** Why a number within the limits is refused; null if it is not */
  readonly refusalOf?: (value: number) => ProblemText | null;
};

/** Field for a number that may be unknown: it is empty then, and emptied it is unknown again. */
export function OptionalNumberField({ min, max, decimals, refusalOf, ...field }: Props) {
  return (
    <QuantityField<number | null>
      {...field}
      print={(value) => (value === null ? '' : String(Number(value.toFixed(decimals))))}
      read={(text) => {
        const given = text
          .trim()
          .replace(',', '.')
          .replace(/\s*(°|deg|mm)$/i, '');
        if (given === '') return { value: null };
        const value = Number(given);
        const refused = (code: 'not-a-number' | 'out-of-range') => ({
          problem: problemText(problem(code, field.label, { given: `“${text.trim()}”`, min, max })),
        });
        if (!Number.isFinite(value)) return refused('not-a-number');
        const refusal = refusalOf?.(value) ?? null;
        if (refusal !== null) return { problem: refusal };
        return value < min || value > max ? refused('out-of-range') : { value };
      }}
    />
  );
}

import { problem } from '@still-heron/core';
import { problemText } from '@still-heron/wording';
import { QuantityField, type QuantityFieldProps } from './QuantityField';

type Props = Pick<QuantityFieldProps<number>, 'label' | 'onChange' | 'hint' | 'unit' | 'isBare' | 'testId' | 'hasCursor'> & {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly decimals?: number;
  readonly isWhole?: boolean;
};

/** Field for a number within a range. */
export function NumberField({ label, value, min, max, step, decimals = 0, isWhole = false, ...rest }: Props) {
  const print = (number: number) => String(Number(number.toFixed(decimals)));
  return (
    <QuantityField
      {...rest}
      label={label}
      value={value}
      print={print}
      read={(text) => {
        const given = text.trim().replace(',', '.');
        const number = Number(given);
        const refused = (code: 'not-a-number' | 'out-of-range' | 'not-whole') => ({
          problem: problemText(problem(code, label, { given: `“${text.trim()}”`, min, max, isWhole })),
        });
        if (given === '' || !Number.isFinite(number)) return refused('not-a-number');
        if (number < min || number > max) return refused('out-of-range');
        return isWhole && !Number.isInteger(number) ? refused('not-whole') : { value: number };
      }}
      nudge={(number, steps) => Math.min(Math.max(Number((Math.round(number / step + steps) * step).toFixed(6)), min), max)}
    />
  );
}

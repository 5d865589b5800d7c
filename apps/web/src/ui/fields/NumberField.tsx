import { QuantityField, type QuantityFieldProps } from './QuantityField';

type Props = Pick<QuantityFieldProps<number>, 'label' | 'onChange' | 'hint' | 'unit' | 'isBare' | 'testId'> & {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly decimals?: number;
  readonly isWhole?: boolean;
};

/** Field for a number within a range. */
export function NumberField({ value, min, max, step, decimals = 0, isWhole = false, ...rest }: Props) {
  const print = (number: number) => String(Number(number.toFixed(decimals)));
  return (
    <QuantityField
      {...rest}
      value={value}
      print={print}
      read={(text) => {
        const given = text.trim().replace(',', '.');
        const number = Number(given);
        const need = `a ${isWhole ? 'whole ' : ''}number from ${min} to ${max}`;
        if (given === '' || !Number.isFinite(number))
          return {
            problem: { message: given === '' ? 'Nothing was typed' : `“${text.trim()}” can't be read as a number`, need },
          };
        if (number < min || number > max || (isWhole && !Number.isInteger(number)))
          return { problem: { message: `${given} does not fit`, need } };
        return { value: number };
      }}
      nudge={(number, steps) => Math.min(Math.max(Number((Math.round(number / step + steps) * step).toFixed(6)), min), max)}
    />
  );
}

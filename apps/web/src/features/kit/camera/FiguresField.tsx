import { numbersRefusal } from '@still-heron/wording';
import { QuantityField } from '../../../ui/fields/QuantityField';

interface Props {
  readonly label: string;
  readonly values: readonly number[];
  readonly limit: { readonly min: number; readonly max: number };
  readonly maxCount: number;
  readonly onChange: (values: readonly number[]) => void;
}

/** Several numbers in one field, separated by spaces: 24 25 48 50. They are sorted without duplicates. */
export function FiguresField({ label, values, limit, maxCount, onChange }: Props) {
  return (
    <QuantityField
      label={label}
      value={values}
      print={(list) => list.map((value) => Number(value.toFixed(3))).join('  ')}
      placeholder="none"
      read={(text) => {
        const parts = text.split(/[\s;]+/).filter(Boolean);
        const numbers = parts.map((part) => Number(part.replace(',', '.')));
        const wrong = parts.find((_, k) => !(numbers[k]! >= limit.min && numbers[k]! <= limit.max));
        const limits = { ...limit, maxCount };
        if (wrong !== undefined) return { problem: numbersRefusal({ text: wrong }, limits) };
        const sorted = [...new Set(numbers)].sort((a, b) => a - b);
        if (sorted.length > maxCount) return { problem: numbersRefusal({ count: sorted.length }, limits) };
        return { value: sorted };
      }}
      onChange={onChange}
    />
  );
}

import { QuantityField } from '../../../ui/fields/QuantityField';

interface Props {
  readonly label: string;
  readonly values: readonly number[];
  readonly limit: { readonly min: number; readonly max: number };
  readonly most: number;
  readonly onChange: (values: readonly number[]) => void;
}

/** Several numbers in one field, separated by spaces: 24 25 48 50. They are sorted without duplicates. */
export function FiguresField({ label, values, limit, most, onChange }: Props) {
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
        const need = `numbers from ${limit.min} to ${limit.max} with blanks between, at most ${most}`;
        if (wrong !== undefined) return { problem: { message: `“${wrong}” does not fit`, need } };
        const sorted = [...new Set(numbers)].sort((a, b) => a - b);
        if (sorted.length > most) return { problem: { message: `${sorted.length} are too many`, need } };
        return { value: sorted };
      }}
      onChange={onChange}
    />
  );
}

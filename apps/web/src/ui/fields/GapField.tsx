import { MM_PER_INCH, type UnitSystem } from '@still-heron/core';
import { NumberField } from './NumberField';

interface Props {
  readonly label: string;
  readonly mm: number;
  /** In mm */
  readonly limit: { readonly min: number; readonly max: number };
  readonly units: UnitSystem;
  readonly onChange: (mm: number, gesture: string) => void;
}

/** Field for a small length, in centimetres or inches. */
export function GapField({ label, mm, limit, units, onChange }: Props) {
  const [unit, unitMm, step] = units === 'metric' ? (['cm', 10, 0.5] as const) : (['in', MM_PER_INCH, 0.25] as const);
  return (
    <NumberField
      label={label}
      unit={unit}
      decimals={2}
      step={step}
      min={limit.min / unitMm}
      max={Math.floor(limit.max / unitMm)}
      value={mm / unitMm}
      onChange={(value, gesture) => onChange(value * unitMm, gesture)}
    />
  );
}

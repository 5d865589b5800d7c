import { MM_PER_FOOT, MM_PER_METRE, PLAN_LIMITS, type UnitSystem } from '@still-heron/core';
import { NumberField } from '../../ui/fields/NumberField';

/** A length on the floor in metres or feet; a coordinate may be negative. */
export function FloorLength({
  label,
  mm,
  units,
  isPlace = false,
  limit = isPlace ? PLAN_LIMITS.placeMm : PLAN_LIMITS.heightMm,
  onChange,
}: {
  label: string;
  mm: number;
  units: UnitSystem;
  isPlace?: boolean;
  /** In mm */
  limit?: { readonly min: number; readonly max: number };
  onChange: (mm: number, gesture: string) => void;
}) {
  const perUnit = units === 'metric' ? MM_PER_METRE : MM_PER_FOOT;
  return (
    <NumberField
      label={label}
      unit={units === 'metric' ? 'm' : 'ft'}
      decimals={2}
      step={units === 'metric' ? 0.05 : 0.25}
      min={Math.ceil((limit.min / perUnit) * 100) / 100}
      max={Math.floor(limit.max / perUnit)}
      value={mm / perUnit}
      onChange={(value, gesture) => onChange(value * perUnit, gesture)}
    />
  );
}

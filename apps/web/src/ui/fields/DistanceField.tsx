import { formatDistanceFigure, type UnitSystem } from '@still-heron/core';
import { QuantityField, type QuantityFieldProps } from './QuantityField';
import { type DistanceRange, nudgeDistance, readDistance } from './readDistance';

type Props = Pick<QuantityFieldProps<number>, 'label' | 'onChange' | 'hint' | 'isBare' | 'size' | 'placeholder' | 'testId'> & {
  /** Tape distance; Infinity allowed */
  readonly distanceMm: number;
  readonly units: UnitSystem;
  /** Range of this field, within the limits of a plan */
  readonly range?: DistanceRange;
};

/** Field for a tape distance: 2.4, 240cm, 7'11, inf. */
export function DistanceField({ distanceMm, units, range, ...rest }: Props) {
  return (
    <QuantityField
      {...rest}
      value={distanceMm}
      print={(mm) => formatDistanceFigure(mm, units)}
      read={(text) => readDistance(text, units, range)}
      nudge={(mm, steps) => nudgeDistance(mm, steps, units, range)}
      {...(units === 'metric' && distanceMm !== Infinity ? { unit: 'm' } : {})}
    />
  );
}

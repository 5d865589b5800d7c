import {
  displayStepMm,
  FARTHEST_TYPED_MM,
  formatDistanceFigure,
  parseDistance,
  PLAN_LIMITS,
  type UnitSystem,
} from '@still-heron/core';
import { QuantityField, type QuantityFieldProps, type Reading } from './QuantityField';

type Props = Pick<QuantityFieldProps<number>, 'label' | 'onChange' | 'hint' | 'isBare' | 'size' | 'placeholder' | 'testId'> & {
  /** Tape distance; Infinity allowed */
  readonly distanceMm: number;
  readonly units: UnitSystem;
  /** Least and most that is taken, beyond what any plan may hold */
  readonly range?: { readonly minMm: number; readonly maxMm: number; readonly why: string };
};

/** A tape distance: 2.4, 240cm, 7'11, inf. */
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

/** Reads a typed distance and holds it against what a plan, and this place in it, may hold. */
export function readDistance(text: string, units: UnitSystem, range?: Props['range']): Reading<number> {
  const parsed = parseDistance(text, units);
  if (parsed.status === 'unread') return { problem: parsed.problem };
  const { distanceMm } = parsed;
  const minMm = Math.max(range?.minMm ?? 0, PLAN_LIMITS.distanceMm.min);
  const said = (mm: number) =>
    mm === Infinity ? 'infinity' : `${formatDistanceFigure(mm, units)}${units === 'metric' ? ' m' : ''}`;
  if (distanceMm < minMm)
    return {
      problem: { message: `“${text.trim()}” is ${range?.why ?? 'closer than a tape is read'}`, need: `${said(minMm)} or more` },
    };
  if (range && distanceMm > range.maxMm)
    return { problem: { message: `“${text.trim()}” is ${range.why}`, need: `${said(range.maxMm)} or less` } };
  return { value: distanceMm };
}

/** One display step on; from infinity the farthest typed distance. */
export function nudgeDistance(mm: number, steps: number, units: UnitSystem, range?: Props['range']): number {
  const from = mm === Infinity ? FARTHEST_TYPED_MM : mm;
  const stepMm = displayStepMm(steps < 0 ? from - 1e-6 : from, units);
  const next = Math.round(from / stepMm + steps) * stepMm;
  return Math.min(Math.max(next, range?.minMm ?? PLAN_LIMITS.distanceMm.min), range?.maxMm ?? FARTHEST_TYPED_MM);
}

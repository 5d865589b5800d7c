import {
  displayStepMm,
  MAX_TYPED_DISTANCE_MM,
  formatDistanceFigure,
  parseDistance,
  PLAN_LIMITS,
  type UnitSystem,
} from '@still-heron/core';
import type { Reading } from './QuantityField';

/** Range of a distance field, and the reason for it. */
export interface DistanceRange {
  readonly minMm: number;
  readonly maxMm: number;
  readonly why: string;
}

/** Reads a typed distance and checks it against the limits of a plan and of the field. */
export function readDistance(text: string, units: UnitSystem, range?: DistanceRange): Reading<number> {
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

/** A distance one display step away; from infinity, the longest typed distance. */
export function nudgeDistance(mm: number, steps: number, units: UnitSystem, range?: DistanceRange): number {
  const from = mm === Infinity ? MAX_TYPED_DISTANCE_MM : mm;
  const stepMm = displayStepMm(steps < 0 ? from - 1e-6 : from, units);
  const next = Math.round(from / stepMm + steps) * stepMm;
  return Math.min(Math.max(next, range?.minMm ?? PLAN_LIMITS.distanceMm.min), range?.maxMm ?? MAX_TYPED_DISTANCE_MM);
}

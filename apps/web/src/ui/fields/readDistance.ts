import { displayStepMm, MAX_TYPED_DISTANCE_MM, parseDistance, PLAN_LIMITS, type UnitSystem } from '@still-heron/core';
import { type DistanceLimit, distanceRefusal, problemText, readingText } from '@still-heron/wording';
import type { Reading } from './QuantityField';

/** Range of a distance field, and the reason for it. */
export interface DistanceRange {
  readonly minMm: number;
  readonly maxMm: number;
  readonly reason?: DistanceLimit;
}

/** Reads a typed distance and checks it against the limits of a plan and of the field. */
export function readDistance(text: string, units: UnitSystem, range?: DistanceRange): Reading<number> {
  const parsed = parseDistance(text, units);
  const minMm = Math.max(range?.minMm ?? 0, PLAN_LIMITS.distanceMm.min);
  if (parsed.status === 'unread') {
    const { problem } = parsed;
    if (problem.code !== 'several-readings') return { problem: problemText(problem) };
    const offers = problem.values.readings
      .filter(({ mm }) => mm >= minMm && mm <= (range?.maxMm ?? Infinity))
      .map((reading) => ({ word: readingText(reading), value: reading.mm }));
    return { problem: problemText(problem), offers };
  }
  const { distanceMm } = parsed;
  const reason = range?.reason ?? 'tape';
  if (distanceMm < minMm) return { problem: distanceRefusal(text, reason, { minMm }, units) };
  if (range && distanceMm > range.maxMm) return { problem: distanceRefusal(text, reason, { maxMm: range.maxMm }, units) };
  return { value: distanceMm };
}

/** A distance one display step away; from infinity, the longest typed distance. */
export function nudgeDistance(mm: number, steps: number, units: UnitSystem, range?: DistanceRange): number {
  const from = mm === Infinity ? MAX_TYPED_DISTANCE_MM : mm;
  const stepMm = displayStepMm(steps < 0 ? from - 1e-6 : from, units);
  const next = Math.round(from / stepMm + steps) * stepMm;
  return Math.min(Math.max(next, range?.minMm ?? PLAN_LIMITS.distanceMm.min), range?.maxMm ?? MAX_TYPED_DISTANCE_MM);
}

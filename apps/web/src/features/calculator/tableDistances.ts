import { MM_PER_FOOT, MM_PER_INCH, type UnitSystem } from '@still-heron/core';

/** Distance steps of the table by range: as fine as a tape is read there. */
const STEPS: Readonly<Record<UnitSystem, readonly { readonly toMm: number; readonly stepMm: number }[]>> = {
  metric: [
    { toMm: 1000, stepMm: 50 },
    { toMm: 4000, stepMm: 100 },
    { toMm: 10_000, stepMm: 250 },
    { toMm: 30_000, stepMm: 1000 },
    { toMm: 100_000, stepMm: 10_000 },
  ],
  imperial: [
    { toMm: 4 * MM_PER_FOOT, stepMm: 2 * MM_PER_INCH },
    { toMm: 12 * MM_PER_FOOT, stepMm: 3 * MM_PER_INCH },
    { toMm: 30 * MM_PER_FOOT, stepMm: 6 * MM_PER_INCH },
    { toMm: 100 * MM_PER_FOOT, stepMm: 5 * MM_PER_FOOT },
    { toMm: 300 * MM_PER_FOOT, stepMm: 50 * MM_PER_FOOT },
  ],
};

/** Distances of the table rows from close focus on, increasing, infinity last. */
export function tableDistances(units: UnitSystem, nearestMm: number): number[] {
  const distances = [nearestMm];
  let fromMm = nearestMm;
  for (const { toMm, stepMm } of STEPS[units]) {
    for (let k = Math.floor(fromMm / stepMm + 1e-9) + 1; k * stepMm <= toMm * (1 + 1e-9); k++) distances.push(k * stepMm);
    fromMm = Math.max(fromMm, toMm);
  }
  return [...distances, Infinity];
}

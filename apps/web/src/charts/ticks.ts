import { ticks as roundTicks } from 'd3-array';
import { formatDistanceFigure, MM_PER_FOOT, type UnitSystem } from '@still-heron/core';

/** A labelled position on an axis. */
export interface Tick {
  readonly at: number;
  readonly label: string;
}

/** Distances as engraved on lenses, roundest first: on a crowded axis the rounder one wins. */
const METRES = [
  [1, 2, 3, 5, 10, 20],
  [1.5, 4, 6, 7, 8, 15, 30, 50, 0.5],
  [1.2, 2.5, 3.5, 4.5, 12, 100, 0.7],
  [0.8, 0.6, 0.9, 1.1, 1.3, 1.4, 1.6, 1.8, 2.25, 2.75, 9, 0.4, 0.35, 0.3],
  [1.7, 1.9, 2.1, 2.2, 2.3, 2.4, 2.6, 2.8, 3.25, 3.75, 5.5, 0.45, 0.65, 0.75, 0.25],
];
const FEET = [
  [3, 4, 5, 6, 8, 10, 20],
  [2, 7, 12, 15, 30, 50],
  [9, 25, 40, 100, 2.5, 3.5, 4.5],
  [5.5, 6.5, 7.5, 11, 1.5, 1],
  [1.25, 1.75, 2.25, 2.75, 3.25, 3.75, 4.25, 4.75],
];

/**
 * Distance labels for an axis that is not linear in distance.
 *
 * @param position - pixel position of a tape distance; NaN if it is off the axis
 * @param gapPx - minimum distance between two labels
 */
export function distanceTicks(units: UnitSystem, position: (mm: number) => number, gapPx: number): Tick[] {
  const perUnitMm = units === 'metric' ? 1000 : MM_PER_FOOT;
  const candidates = [Infinity, ...(units === 'metric' ? METRES : FEET).flat().map((figure) => figure * perUnitMm)];
  const ticks: Tick[] = [];
  for (const mm of candidates) {
    const at = position(mm);
    if (Number.isNaN(at) || ticks.some((tick) => Math.abs(tick.at - at) < gapPx)) continue;
    ticks.push({ at, label: tickLabel(mm, units) });
  }
  return ticks.sort((a, b) => a.at - b.at);
}

/** Short form, as engraved on a lens: 2, 2.5, 7', ∞. */
function tickLabel(mm: number, units: UnitSystem): string {
  if (mm === Infinity) return '∞';
  if (units === 'metric') return String(Number((mm / 1000).toFixed(2)));
  return formatDistanceFigure(mm, units).replace(/ 0"$/, '').replace(/' /, "'");
}

/** Distance labels for a linear axis from 0 to a distance; about `count` of them. */
export function evenTicks(units: UnitSystem, toMm: number, count: number): { readonly mm: number; readonly label: string }[] {
  const perUnitMm = units === 'metric' ? 1000 : MM_PER_FOOT;
  return roundTicks(0, toMm / perUnitMm, Math.min(count, 14))
    .filter((figure) => figure > 0)
    .map((figure) => ({ mm: figure * perUnitMm, label: `${Number(figure.toFixed(3))}${units === 'metric' ? '' : "'"}` }));
}

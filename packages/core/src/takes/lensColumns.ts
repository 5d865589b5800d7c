import { type LensRing, tidyHeading } from '../kit/index.js';
import type { ShotPlan } from '../plan/index.js';
import { focusTrack } from '../track/index.js';
import { MM_PER_FOOT, MM_PER_INCH, MM_PER_METRE } from '../units/index.js';

/** Units of a column of distances. */
export const LENS_DATA_UNITS = ['m', 'ft', 'cm', 'in', 'mm'] as const;
export type LensDataUnit = (typeof LENS_DATA_UNITS)[number];

/** Length of each unit, in mm. */
export const LENS_DATA_UNIT_MM: Readonly<Record<LensDataUnit, number>> = {
  m: MM_PER_METRE,
  ft: MM_PER_FOOT,
  cm: MM_PER_METRE / 100,
  in: MM_PER_INCH,
  mm: 1,
};

/** A column of lens data by its heading; the unit of distances is null if the heading doesn't name one. */
export type LensColumn =
  { readonly kind: 'time' } | { readonly kind: 'ring' } | { readonly kind: 'distance'; readonly unit: LensDataUnit | null };

const TIMES = new Set(['time', 't', 'time s', 'seconds', 'timecode', 'tc']);
const RINGS = new Set(['ring', 'ring deg', 'ring angle', 'ring angle deg']);
const UNIT_NAMES: Readonly<Record<string, LensDataUnit>> = {
  m: 'm',
  metres: 'm',
  meters: 'm',
  ft: 'ft',
  feet: 'ft',
  cm: 'cm',
  in: 'in',
  inches: 'in',
  mm: 'mm',
};

/** @returns null for an unknown heading */
export function lensColumn(heading: string): LensColumn | null {
  const tidy = tidyHeading(heading);
  if (TIMES.has(tidy)) return { kind: 'time' };
  if (RINGS.has(tidy)) return { kind: 'ring' };
  const named = /^(?:focus )?distance ?(.*)$/.exec(tidy)?.[1];
  if (named === undefined) return null;
  const unit = named === '' ? null : UNIT_NAMES[named];
  return unit === undefined ? null : { kind: 'distance', unit };
}

/** How far the middle of the readings may lie beyond the distances of the plan. Feet differ from metres by 3.28. */
const BEYOND_PLAN = 1.5;

/**
 * Units in which readings of a distance make sense: within reach of the lens, and their middle within the distances of the plan.
 *
 * @param values - distances of the file without a unit; infinity is no evidence
 * @returns in the order of `LENS_DATA_UNITS`; several if the readings don't decide
 */
export function likelyUnits(values: readonly number[], plan: ShotPlan, ring: LensRing): LensDataUnit[] {
  const sorted = values.filter(Number.isFinite).sort((a, b) => a - b);
  const track = focusTrack(plan, ring);
  if (sorted.length === 0 || !track) return [...LENS_DATA_UNITS];
  const planned = Array.from({ length: 101 }, (_, k) => ring.distanceAt(track.ringDegAt((k / 100) * plan.durationS)));
  const nearestMm = Math.min(...planned) / BEYOND_PLAN;
  const farthestMm = Math.max(...planned) * BEYOND_PLAN;
  const middle = sorted[Math.floor(sorted.length / 2)]!;
  const isLikely = (mm: number) =>
    sorted[0]! * mm >= ring.closeFocusMm / BEYOND_PLAN && middle * mm >= nearestMm && middle * mm <= farthestMm;
  return LENS_DATA_UNITS.filter((unit) => isLikely(LENS_DATA_UNIT_MM[unit]));
}

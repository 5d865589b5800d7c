import type { Fix } from '../verdict/index.js';
import { fixMinutes } from './improvements.js';

/** What a change does to the takes. */
export interface TakesKept {
  /** Keep rate with the change; null if unknown */
  readonly keepRate: number | null;
  /** Keep rate without it */
  readonly keepRateBefore: number;
  /** Whether more takes are kept, fewer, or as many as before */
  readonly takes: 'more' | 'same' | 'fewer';
}

export interface RankedFix extends Fix, TakesKept {}

/** A smaller difference is chance: half a take of 100. */
const MIN_DIFFERENCE = 0.005;

/** Compares two keep rates by the same seed and layout. */
export function takesKept(keepRate: number | null, keepRateBefore: number): TakesKept {
  const gain = keepRate === null ? 0 : keepRate - keepRateBefore;
  const changed = gain > 0 ? 'more' : 'fewer';
  return { keepRate, keepRateBefore, takes: Math.abs(gain) < MIN_DIFFERENCE ? 'same' : changed };
}

/** Changes that are offered only if more takes are kept: they change what is shown, or how the edit must use it. */
const MUST_GAIN: readonly Fix['change']['kind'][] = ['reversed'];

/**
 * Sorts fixes by what they do on the set: those with which more takes are kept, by gain per minute; then those that change only the
 * ideal take, as `findFixes` sorts them; last those with which fewer are kept.
 *
 * @param rates - keep rate of each fix, in their order; null if unknown. All by the same seed and layout
 */
export function rankFixes(fixes: readonly Fix[], rates: readonly (number | null)[], keepRateBefore: number): RankedFix[] {
  const ranked = fixes.map((fix, index): RankedFix => ({ ...fix, ...takesKept(rates[index] ?? null, keepRateBefore) }));
  const offered = ranked.filter(({ change, takes }) => takes === 'more' || !MUST_GAIN.includes(change.kind));
  return offered.sort((a, b) => ORDER[a.takes] - ORDER[b.takes] || worth(b) - worth(a));
}

const ORDER: Readonly<Record<RankedFix['takes'], number>> = { more: 0, same: 1, fewer: 2 };

/** Takes gained per minute; 0 if none. */
function worth({ keepRate, keepRateBefore, takes, change, stopsLost }: RankedFix): number {
  return takes === 'more' ? (keepRate! - keepRateBefore) / fixMinutes(change, stopsLost) : 0;
}

import { problem, type Problem } from '../problems.js';
import { distanceReadings } from './distanceReadings.js';
import type { UnitSystem } from './unitSystem.js';

/** A typed distance: its value, or a problem to show beside the field. */
export type ParsedDistance =
  { readonly status: 'read'; readonly distanceMm: number } | { readonly status: 'unread'; readonly problem: Problem };

/** Longest distance that can be typed: ten kilometres. Beyond it, type infinity. */
export const MAX_TYPED_DISTANCE_MM = 10_000_000;

const ENDLESS = /^(inf|infinity|∞)$/;

/**
 * Reads a distance as people write it: `2.4`, `2.4m`, `2m40`, `2m 5cm`, `240cm`, `7'11`, `7ft 11 1/2`, `95in`, `inf`. A text with
 * two meanings is not read: `1,500ft`, `2m4`, a bare `2400` in metres. The problem then holds both.
 *
 * @param text - typed text; case, outer spaces, primes of every kind and a decimal comma are accepted
 * @param bareUnit - unit of a bare number: metres (`metric`) or feet (`imperial`)
 * @returns the distance in mm (Infinity for `inf`), or the problem: empty, unreadable, two readings, zero, too far, or twelve
 * inches or more after feet
 * @example parseDistance("7'11", 'metric') reads 2413 mm
 */
export function parseDistance(text: string, bareUnit: UnitSystem): ParsedDistance {
  const given = tidy(text);
  const typed = text.trim();
  const unread = (found: Problem): ParsedDistance => ({ status: 'unread', problem: found });
  if (given === '') return unread(problem('empty', 'distance', { what: 'distance', units: bareUnit }));
  if (ENDLESS.test(given)) return { status: 'read', distanceMm: Infinity };
  const { isClear, readings } = distanceReadings(given, bareUnit);
  const possible = readings.filter(({ mm }) => mm > 0 && mm <= MAX_TYPED_DISTANCE_MM);
  if (isClear && possible.length === 1) return { status: 'read', distanceMm: possible[0]!.mm };
  if (possible.length > 0) return unread(problem('several-readings', 'distance', { text: typed, readings: possible }));
  const [reading] = readings;
  if (reading?.mm === 0) return unread(problem('zero', 'distance', { what: 'distance' }));
  if (reading && reading.mm > MAX_TYPED_DISTANCE_MM) return unread(problem('too-far', 'distance', { text: typed }));
  if (hasTwelveInches(given)) return unread(problem('twelve-inches', 'distance', { text: typed }));
  return unread(problem('unreadable', 'distance', { text: typed, what: 'distance', units: bareUnit }));
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** One kind of each sign: straight primes, a plain hyphen, single spaces, fractions with a slash. */
function tidy(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[′’‘ʹ´`＇]/g, "'")
    .replace(/[″“”ʺ＂]/g, '"')
    .replace(/''/g, '"')
    .replace(/[‐‑‒–—−]/g, '-')
    .replace(/⁄/g, '/')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (mark) => ` ${VULGAR[mark]}`)
    .replace(/\s+/g, ' ')
    .replace(/ ?- ?/g, '-')
    .replace(/ ?\/ ?/g, '/')
    .trim();
}

/** Feet followed by twelve inches or more: a slip, for which the problem names what would do. */
function hasTwelveInches(given: string): boolean {
  const match = /^\d+ ?(?:'|ft|feet|foot|-)[ -]?(\d+(?:[.,]\d+)?)(?: (\d+)\/(\d+))?/.exec(given);
  if (!match) return false;
  const inches = Number(match[1]!.replace(',', '.')) + (match[2] ? Number(match[2]) / Number(match[3]) : 0);
  return inches >= 12;
}

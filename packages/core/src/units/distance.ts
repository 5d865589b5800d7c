import { problem, type Problem } from '../problems.js';
import { MM_PER_FOOT, MM_PER_INCH, MM_PER_METRE, type UnitSystem } from './unitSystem.js';

/** A typed distance: its value, or a problem to show beside the field. */
export type ParsedDistance =
  { readonly status: 'read'; readonly distanceMm: number } | { readonly status: 'unread'; readonly problem: Problem };

/** Longest distance that can be typed: ten kilometres. Beyond it, type infinity. */
export const MAX_TYPED_DISTANCE_MM = 10_000_000;

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const NUMBER = String.raw`(\d+(?:\.\d*)?|\.\d+)`;
/** `11`, `11.5`, `11 1/2`, `1/2` */
const INCHES = String.raw`(?:(\d+(?:\.\d*)?|\.\d+)(?: +(\d+)\/(\d+))?|(\d+)\/(\d+))`;
const FOOT_MARK = String.raw`(?:'|ft|feet|foot)`;
const INCH_MARK = String.raw`(?:"|''|in|inch|inches)`;

const METRIC = new RegExp(`^${NUMBER} ?(m|cm|mm|metres?|meters?)$`);
const METRES_AND_CENTIMETRES = /^(\d+) ?m ?(\d{1,2})(?: ?cm)?$/;
const FEET_AND_INCHES = new RegExp(`^(\\d+) ?(?:${FOOT_MARK} ?-?|-) ?${INCHES} ?${INCH_MARK}?$`);
const FEET_ONLY = new RegExp(`^${NUMBER} ?${FOOT_MARK}$`);
const INCHES_ONLY = new RegExp(`^${INCHES} ?${INCH_MARK}$`);
const BARE = new RegExp(`^${NUMBER}$`);
const ENDLESS = /^(inf|infinity|∞)$/;

/**
 * Reads a distance as people write it: `2.4`, `2.4m`, `2m40`, `240cm`, `7'11`, `7ft 11 1/2`, `7-11`, `95in`, `inf`.
 *
 * @param text - typed text; case, outer spaces and a decimal comma are accepted
 * @param bareUnit - unit of a bare number: metres (`metric`) or feet (`imperial`)
 * @returns the distance in mm (Infinity for `inf`), or the problem: empty, unreadable, zero, too far, or twelve inches or more
 * after feet
 * @example parseDistance("7'11", 'metric') reads 2413 mm
 */
export function parseDistance(text: string, bareUnit: UnitSystem): ParsedDistance {
  const given = tidy(text);
  const typed = text.trim();
  const unread = (found: Problem): ParsedDistance => ({ status: 'unread', problem: found });
  const unreadable = problem('unreadable', 'distance', { text: typed, what: 'distance', units: bareUnit });
  if (given === '') return unread(problem('empty', 'distance', { what: 'distance', units: bareUnit }));
  if (ENDLESS.test(given)) return { status: 'read', distanceMm: Infinity };
  const distanceMm = readMm(given, bareUnit);
  if (distanceMm === null) return unread(unreadable);
  if (distanceMm === 'twelve-inches') return unread(problem('twelve-inches', 'distance', { text: typed }));
  if (!Number.isFinite(distanceMm)) return unread(unreadable);
  if (distanceMm <= 0) return unread(problem('zero', 'distance', { what: 'distance' }));
  if (distanceMm > MAX_TYPED_DISTANCE_MM) return unread(problem('too-far', 'distance', { text: typed }));
  return { status: 'read', distanceMm };
}

function tidy(text: string): string {
  let given = text.trim().toLowerCase().replace(/[′’‘]/g, "'").replace(/[″“”]/g, '"').replace(/\s+/g, ' ');
  given = given.replace(/ ?([½¼¾⅛⅜⅝⅞])/g, (_, mark: string) => ` ${VULGAR[mark]}`).trim();
  return given.replace(/^(\d+),(\d+)(?=$|[ a-z'"])/, '$1.$2');
}

function readMm(given: string, bareUnit: UnitSystem): number | null | 'twelve-inches' {
  let match = METRIC.exec(given);
  if (match) {
    const mmPer: Readonly<Record<string, number>> = { mm: 1, cm: 10 };
    return Number(match[1]) * (mmPer[match[2]!] ?? MM_PER_METRE);
  }
  match = METRES_AND_CENTIMETRES.exec(given);
  if (match) {
    // "2m4" is two metres forty, like "2.4": the digits after the m are a decimal fraction
    return Number(`${match[1]}.${match[2]}`) * MM_PER_METRE;
  }
  match = FEET_ONLY.exec(given);
  if (match) return Number(match[1]) * MM_PER_FOOT;
  match = INCHES_ONLY.exec(given);
  if (match) return inches(match, 1) * MM_PER_INCH;
  match = FEET_AND_INCHES.exec(given);
  if (match) {
    const rest = inches(match, 2);
    return rest >= 12 ? 'twelve-inches' : Number(match[1]) * MM_PER_FOOT + rest * MM_PER_INCH;
  }
  match = BARE.exec(given);
  if (match) return Number(match[1]) * (bareUnit === 'metric' ? MM_PER_METRE : MM_PER_FOOT);
  return null;
}

/**
 * Reads the five groups of INCHES from index `at`: whole, numerator, denominator; or a fraction alone. A zero denominator gives
 * Infinity or NaN, which the caller rejects.
 */
function inches(match: RegExpExecArray, at: number): number {
  const [whole, top, bottom, loneTop, loneBottom] = match.slice(at, at + 5);
  if (whole === undefined) return Number(loneTop) / Number(loneBottom);
  return Number(whole) + (top === undefined ? 0 : Number(top) / Number(bottom));
}

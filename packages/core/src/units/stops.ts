import { problem, type Problem } from '../problems.js';

/** Scale of a lens's stop ring: transmission (T) or geometric (f). */
export type StopScale = 'T' | 'f';

/** A typed stop: its value, or a problem to show beside the field. */
export type ParsedStop =
  { readonly status: 'read'; readonly stop: number } | { readonly status: 'unread'; readonly problem: Problem };

/** Engraved stops in thirds from 1: √2^(n/3) with the usual rounding. */
const ENGRAVED = [
  1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11, 13, 14, 16, 18, 20, 22, 25, 28,
  32, 36, 40, 45,
] as const;

/**
 * Engraved stops in thirds within a lens's range. Both ends are included even if they are not on the scale (T1.3, T1.5).
 *
 * @param widest - smallest number, > 0
 * @param narrowest - largest number, at least `widest`
 * @returns strictly increasing
 * @example stopScale(2.2, 4) is [2.2, 2.5, 2.8, 3.2, 3.5, 4]
 */
export function stopScale(widest: number, narrowest: number): number[] {
  const inside = ENGRAVED.filter((stop) => stop > widest && stop < narrowest);
  return widest === narrowest ? [widest] : [widest, ...inside, narrowest];
}

/**
 * Full stops between which a stop lies: most stop rings are engraved in full stops.
 *
 * @returns null for a full stop, and beyond the engraved ones
 * @example neighbouringFullStops(7.1) is { wider: 5.6, narrower: 8 }
 */
export function neighbouringFullStops(stop: number): { readonly wider: number; readonly narrower: number } | null {
  const full = ENGRAVED.filter((_, index) => index % 3 === 0);
  const [wider, narrower] = [full.findLast((one) => one <= stop), full.find((one) => one >= stop)];
  return wider === undefined || narrower === undefined || wider === narrower ? null : { wider, narrower };
}

/** Formats a stop: `T2.8`, `f/2.8`. */
export function formatStop(stop: number, scale: StopScale): string {
  const figure = trimmed(stop.toFixed(1));
  return scale === 'T' ? `T${figure}` : `f/${figure}`;
}

const THIRDS = ['', '⅓', '⅔'] as const;

/**
 * Formats a difference of exposure in thirds of a stop, without its sign: `1⅓ stops`, `⅔ stop`, `no change`.
 *
 * @param stops - any finite number
 */
export function formatStops(stops: number): string {
  const thirds = Math.round(Math.abs(stops) * 3);
  if (thirds === 0) return 'no change';
  const whole = Math.floor(thirds / 3);
  return `${whole === 0 ? '' : whole}${THIRDS[thirds % 3]} ${thirds <= 3 ? 'stop' : 'stops'}`;
}

/**
 * Reads a stop: `2.8`, `T2.8`, `t 2,8`, `f/2.8`, `f2.8`.
 *
 * @param range - stops that the lens offers
 */
export function parseStop(text: string, range: { widest: number; narrowest: number }): ParsedStop {
  const typed = text.trim();
  if (typed === '') return { status: 'unread', problem: problem('empty', 'stop', { what: 'stop' }) };
  const match = /^(?:t|f\/?)? ?(\d+(?:[.,]\d+)?)$/i.exec(typed);
  if (!match) return { status: 'unread', problem: problem('unreadable', 'stop', { text: typed, what: 'stop' }) };
  const stop = Number(match[1]!.replace(',', '.'));
  if (stop < range.widest || stop > range.narrowest) {
    const values = { given: stop, unit: 'stop', min: range.widest, max: range.narrowest } as const;
    return { status: 'unread', problem: problem('outside-lens', 'stop', values) };
  }
  return { status: 'read', stop };
}

function trimmed(text: string): string {
  return text.replace(/\.0+$/, '');
}

import { indexOfStop } from './sweep';

const PICTURES = 5;
/** Minimum range of the strip: four stops, in thirds. */
const MIN_SPAN = 12;

/** Five stops, widest first, evenly spaced up to the farthest relevant one, and over at least four stops. */
export function stripStops(stops: readonly number[], matter: readonly number[]): number[] {
  const mattering = matter.map((stop) => indexOfStop(stops, stop));
  const last = Math.max(...mattering, Math.min(MIN_SPAN, stops.length - 1));
  const shown = new Set(Array.from({ length: PICTURES }, (_, k) => Math.round((k * last) / (PICTURES - 1))));
  // a relevant stop replaces its neighbour
  for (const index of mattering) {
    if (shown.has(index)) continue;
    const others = [...shown].filter((one) => !mattering.includes(one));
    shown.delete(others.reduce((best, one) => (Math.abs(one - index) < Math.abs(best - index) ? one : best)));
    shown.add(index);
  }
  return [...shown].sort((a, b) => a - b);
}

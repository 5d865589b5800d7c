import { stopsAt } from '../kit/index.js';
import { focalLengthAt, setStop, type ShotPlan } from '../plan/index.js';

/** The same shot at another stop. Iris pulls shift by the same number of stops, limited by the lens. */
export function withStop(plan: ShotPlan, stop: number): ShotPlan {
  const { optics } = plan;
  const times = stop / optics.stop;
  const irisPulls = optics.irisPulls.map((move) => ({ ...move, to: move.to * times }));
  return setStop({ ...plan, optics: { ...optics, irisPulls } }, stop);
}

/** Two stops within this ratio count as equal. */
const SAME = 1.005;

/** Stops to compare for a shot: thirds within the range of the lens, plus the current stop. Widest first. */
export function stopsToCompare({ optics }: Pick<ShotPlan, 'optics'>): number[] {
  const offered = stopsAt(optics.lens, focalLengthAt(optics, 0));
  const others = offered.filter((stop) => Math.max(stop, optics.stop) / Math.min(stop, optics.stop) > SAME);
  return [...others, optics.stop].sort((a, b) => a - b);
}

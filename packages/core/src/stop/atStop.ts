import { stopsAt } from '../kit/index.js';
import { focalLengthAt, setStop, type ShotPlan } from '../pull/index.js';

/** The same shot at another stop: where the stop is turned on the way, it is turned by as many stops, as far as the lens goes. */
export function atStop(plan: ShotPlan, stop: number): ShotPlan {
  const { optics } = plan;
  const times = stop / optics.stop;
  const stopPulls = optics.stopPulls.map((move) => ({ ...move, to: move.to * times }));
  return setStop({ ...plan, optics: { ...optics, stopPulls } }, stop);
}

/** Two stops that are closer than this are the same, however they were reached. */
const SAME = 1.005;

/** The stops a shot can be taken at: in thirds within the lens's range, and the one it is set to where that lies between them. In order, widest first. */
export function stopsOf({ optics }: Pick<ShotPlan, 'optics'>): number[] {
  const offered = stopsAt(optics.lens, focalLengthAt(optics, 0));
  const others = offered.filter((stop) => Math.max(stop, optics.stop) / Math.min(stop, optics.stop) > SAME);
  return [...others, optics.stop].sort((a, b) => a - b);
}

import { ringOf } from '../kit/index.js';
import { hardStopsOf } from './hardStops.js';
import type { ShotPlan } from './shotPlan.js';

/** Ring angles available in a shot: the whole ring, or up to its hard stops; continuous, or in steps. */
export interface RingReach {
  readonly lowDeg: number;
  readonly highDeg: number;
  /** null for a continuous ring */
  readonly stepDeg: number | null;
  /** Nearest available ring angle */
  nearest(ringDeg: number): number;
}

/** Hard stops set at marks limit the ring: two at both ends, one at the end that it is set for. */
export function ringReach(plan: ShotPlan): RingReach {
  const { lens } = plan.optics;
  const ring = ringOf(lens);
  const ends = [ring.angleAt(ring.closeFocusMm), ring.angleAt(ring.farthestMm)];
  const [firstDeg, lastDeg] = [Math.min(...ends), Math.max(...ends)];
  const stops = hardStopsOf(plan);
  const lowDeg = stops.find(({ bounds }) => bounds === 'low')?.ringDeg ?? firstDeg;
  const highDeg = stops.find(({ bounds }) => bounds === 'high')?.ringDeg ?? lastDeg;
  const clamp = (deg: number) => Math.min(Math.max(deg, lowDeg), highDeg);
  if (lens.response !== 'steps' || lens.stepCount < 1) return { lowDeg, highDeg, stepDeg: null, nearest: clamp };
  const stepDeg = (lastDeg - firstDeg) / lens.stepCount;
  const [lowest, highest] = [Math.ceil((lowDeg - firstDeg) / stepDeg - 1e-9), Math.floor((highDeg - firstDeg) / stepDeg + 1e-9)];
  const nearest = (deg: number) =>
    firstDeg + Math.min(Math.max(Math.round((deg - firstDeg) / stepDeg), lowest), Math.max(highest, lowest)) * stepDeg;
  return { lowDeg: nearest(lowDeg), highDeg: nearest(highDeg), stepDeg, nearest };
}

import type { ShotPlan } from '../plan/index.js';
import { stopFigures } from './stopFigures.js';
import { stopsToCompare, withStop } from './withStop.js';

/** The stop that gives the look of a shot. */
export interface LookStop {
  /** Narrowest stop at which the background is as soft as the look asks for; the widest if none is enough */
  readonly stop: number;
  /** Blur of the background there, in percent of the picture's width */
  readonly backgroundPercent: number;
  readonly isEnough: boolean;
  /** Blur at the stop of the shot */
  readonly nowPercent: number;
}

/**
 * Which stop makes the background as soft as the goals of the shot ask for: of those that do, the one with the deepest zone.
 *
 * @returns null if no blur is asked for, or no distance is known at that time
 */
export function lookStop(plan: ShotPlan, timeS: number): LookStop | null {
  const { blurPercent } = plan.goals;
  if (blurPercent === null) return null;
  const stops = stopsToCompare(plan);
  const figures = stopFigures(plan, stops, timeS);
  const now = figures[stops.indexOf(plan.optics.stop)];
  const [widest] = figures;
  if (!widest || !now) return null;
  const enough = figures.filter(({ backgroundPercent }) => backgroundPercent >= blurPercent);
  const { stop, backgroundPercent } = enough.at(-1) ?? widest;
  return { stop, backgroundPercent, isEnough: enough.length > 0, nowPercent: now.backgroundPercent };
}

/** The shot at the stop that gives its look; the same plan if there is none. */
export function withLookStop(plan: ShotPlan): ShotPlan {
  const look = lookStop(plan, 0);
  return look === null || look.stop === plan.optics.stop ? plan : withStop(plan, look.stop);
}
